<script lang="ts">
	import { onMount } from 'svelte';
	import Check from '../fields/Check.svelte';

	/** Keeps the screen from going dark beside the book, where the browser allows it. */
	let possible = $state(true);
	let wanted = $state(false);
	let lock: WakeLockSentinel | undefined;

	onMount(() => {
		possible = 'wakeLock' in navigator;
		return () => void lock?.release();
	});

	async function set(on: boolean) {
		wanted = on;
		if (!on) {
			await lock?.release();
			lock = undefined;
			return;
		}
		try {
			lock = await navigator.wakeLock.request('screen');
		} catch {
			wanted = false;
			possible = false;
		}
	}

	/** A lock is lost while another window is in front. */
	function seen() {
		if (wanted && document.visibilityState === 'visible') void set(true);
	}
</script>

<svelte:document onvisibilitychange={seen} />

<div class="pb-4">
	{#if possible}
		<Check
			label="Keep this screen on while I work"
			checked={wanted}
			onchange={(on) => void set(on)}
		/>
	{:else}
		<p class="text-sm text-ink-soft">
			This browser cannot keep the screen on. Change the setting on the device itself.
		</p>
	{/if}
</div>
