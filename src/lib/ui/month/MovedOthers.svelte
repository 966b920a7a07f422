<script lang="ts">
	import { blockName } from './block-name';
	import type { MonthDesk } from './month-desk.svelte';

	/** What else moved since a hand moved something, and the way to hold it. */
	let { desk }: { desk: MonthDesk } = $props();

	const mostNamed = 4;
	const others = $derived(desk.moved?.others ?? []);
	const names = $derived(
		others
			.slice(0, mostNamed)
			.map((block) => `${blockName(block)} to page ${block.pieces[0].page}`)
			.join(', ')
	);
</script>

{#if others.length > 0}
	<div
		role="status"
		class="flex flex-wrap items-center gap-x-3 gap-y-1 border-l-4 border-calm bg-chosen px-3 py-2 text-sm"
	>
		<span class="min-w-0 flex-1"
			>{others.length === 1 ? 'One other thing' : `${others.length} other things`} moved: {names}{others.length >
			mostNamed
				? ` and ${others.length - mostNamed} more`
				: ''}.</span
		>
		<button class="button min-h-8" onclick={() => desk.moveOnlyThis()}>Move only this</button>
		<button class="button button-quiet min-h-8" onclick={() => (desk.moved = undefined)}
			>Leave it so</button
		>
	</div>
{/if}
