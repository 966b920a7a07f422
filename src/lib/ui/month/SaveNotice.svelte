<script lang="ts">
	import type { MonthDesk } from './month-desk.svelte';

	let { desk, reload }: { desk: MonthDesk; reload: () => Promise<unknown> } = $props();
	const saving = $derived(desk.saver.state);
</script>

{#if saving.kind === 'conflict'}
	<div role="alert" class="flex flex-wrap items-center gap-3 bg-caution-ground px-5 py-2">
		<p>This month was changed in another window. Your last change here is not kept yet.</p>
		<button class="button" onclick={() => desk.keepMine()}>Keep what is here</button>
		<button class="button" onclick={reload}>Take the other (undo brings this back)</button>
	</div>
{:else if saving.kind === 'failed'}
	<div role="alert" class="flex flex-wrap items-center gap-3 bg-caution-ground px-5 py-2">
		<p><strong>Not saved.</strong> {saving.message}</p>
		<button class="button" onclick={() => desk.saver.retry()}>Try again</button>
	</div>
{/if}
{#if desk.trouble}
	<p role="alert" class="bg-caution-ground px-5 py-2">{desk.trouble}</p>
{/if}
