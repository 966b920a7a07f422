<script lang="ts">
	import { tick } from 'svelte';

	/** Keeps a month's wishes under a name. */
	let { month, onkeep }: { month: string; onkeep: (name: string) => void } = $props();

	let name = $state<string>();
	let field = $state<HTMLInputElement>();
	let opener = $state<HTMLButtonElement>();

	async function open() {
		name = month;
		await tick();
		field?.select();
	}

	async function close() {
		name = undefined;
		await tick();
		opener?.focus();
	}

	function keep(event: SubmitEvent) {
		event.preventDefault();
		const given = name?.trim();
		if (!given) return;
		onkeep(given);
		void close();
	}
</script>

{#if name === undefined}
	<button
		bind:this={opener}
		class="button button-quiet"
		aria-label="Keep as a set: the wishes of {month}"
		onclick={open}>Keep as a set</button
	>
{:else}
	<form class="flex items-end gap-2" onsubmit={keep}>
		<label class="flex flex-col gap-0.5">
			<span class="text-sm text-ink-soft">Name of the set</span>
			<input
				bind:this={field}
				class="field w-40"
				maxlength="100"
				bind:value={name}
				onkeydown={(event) => event.key === 'Escape' && close()}
			/>
		</label>
		<button class="button">Keep</button>
	</form>
{/if}
