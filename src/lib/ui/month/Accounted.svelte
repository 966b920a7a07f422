<script lang="ts">
	import type { MonthDesk } from './month-desk.svelte';

	/** One line for the latest change: what it did besides, and the ways back. */
	let { desk }: { desk: MonthDesk } = $props();

	const mostNamed = 3;
	const told = $derived(desk.account.told);
	const words = $derived.by(() => {
		const lines = told?.lines ?? [];
		const more = lines.length - mostNamed;
		if (lines.length === 0) return 'Nothing else moved.';
		return `Also changed: ${lines.slice(0, mostNamed).join('; ')}${more > 0 ? `; and ${more} more` : ''}.`;
	});
</script>

<!-- In view wherever the run is scrolled to. -->
<div
	class="sticky bottom-0 z-20 mt-auto empty:hidden max-md:bottom-12 lg:-bottom-4 print:hidden"
	role="status"
>
	{#if told}
		<div
			class="flex flex-wrap items-center gap-x-2 gap-y-1 border border-calm bg-chosen px-3 py-1 text-sm"
		>
			<span class="min-w-0 flex-1" title={told.lines.join('; ')}>{words}</span>
			<button class="button min-h-8 text-sm" onclick={() => desk.undo()}>Undo this</button>
			{#if told.lines.length > 0}
				<button class="button min-h-8 text-sm" onclick={() => desk.holdOthers()}
					>Keep the rest as it was</button
				>
			{/if}
			<button
				class="button button-quiet min-h-8"
				aria-label="Dismiss"
				onclick={() => desk.account.drop()}>✕</button
			>
		</div>
	{/if}
</div>
