<script lang="ts">
	import type { NotebookKeeper } from './notebook-keeper.svelte';

	let { keeper }: { keeper: NotebookKeeper } = $props();
	const state = $derived(keeper.saver.state);
</script>

<p class="text-sm text-ink-soft" role="status" data-testid="save-state">
	{#if !keeper.sound}Not saved until the marked number is put right
	{:else if state.kind === 'saved'}Saved
	{:else if state.kind === 'saving'}Saving …
	{:else}Not saved{/if}
</p>
