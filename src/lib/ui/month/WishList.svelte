<script lang="ts">
	import { dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import type { Wish } from '$lib/core/forms';
	import type { MonthDesk } from './month-desk.svelte';
	import WishRow from './WishRow.svelte';

	let { desk }: { desk: MonthDesk } = $props();

	/** The order while a row is being dragged; otherwise the desk's. */
	let dragged = $state.raw<Wish[]>();
	const shown = $derived(dragged ?? [...desk.wishes]);
	const calm =
		typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;

	function consider(event: CustomEvent<DndEvent<Wish>>) {
		dragged = event.detail.items;
	}

	function finalize(event: CustomEvent<DndEvent<Wish>>) {
		dragged = undefined;
		desk.change({ wishes: event.detail.items });
	}
</script>

{#if shown.length === 0}
	<p class="py-6 text-ink-soft">Nothing is wished for yet. Add a first page below.</p>
{/if}
<ol
	aria-label="Wishes"
	class="flex flex-col"
	use:dragHandleZone={{
		items: shown,
		flipDurationMs: calm ? 0 : 150,
		dropTargetStyle: {},
		autoAriaDisabled: true,
		zoneTabIndex: -1
	}}
	onconsider={consider}
	onfinalize={finalize}
>
	{#each shown as wish, index (wish.id)}
		<li class="border-b border-hairline bg-sheet">
			<WishRow {desk} {wish} {index} />
		</li>
	{/each}
</ol>
