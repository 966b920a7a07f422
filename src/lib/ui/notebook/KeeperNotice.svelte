<script lang="ts">
	import { beforeNavigate, invalidateAll } from '$app/navigation';
	import type { KeptNotebook, NotebookKeeper } from './notebook-keeper.svelte';

	/** `latest` gives what the server holds after a reload. */
	let { keeper, latest }: { keeper: NotebookKeeper; latest: () => KeptNotebook } = $props();
	const saving = $derived(keeper.saver.state);

	$effect(() => () => keeper.saver.close());

	beforeNavigate((navigation) => {
		if (navigation.willUnload && !keeper.saver.settled) navigation.cancel();
	});

	async function takeTheirs() {
		await invalidateAll();
		keeper.adopt(latest());
	}
</script>

<p class="text-sm text-ink-soft" role="status" data-testid="save-state">
	{#if keeper.faults.length > 0}Not saved until the marked number is put right
	{:else if saving.kind === 'saved'}Saved
	{:else if saving.kind === 'saving'}Saving …
	{:else}Not saved{/if}
</p>
{#if saving.kind === 'conflict'}
	<div role="alert" class="flex flex-wrap items-center gap-3 bg-caution-ground px-3 py-2">
		<p>This notebook was changed in another window.</p>
		<button class="button" onclick={() => keeper.keepMine()}>Keep what is here</button>
		<button class="button" onclick={takeTheirs}>Take the other</button>
	</div>
{:else if saving.kind === 'failed'}
	<div role="alert" class="flex flex-wrap items-center gap-3 bg-caution-ground px-3 py-2">
		<p><strong>Not saved.</strong> {saving.message}</p>
		<button class="button" onclick={() => keeper.saver.retry()}>Try again</button>
	</div>
{/if}
