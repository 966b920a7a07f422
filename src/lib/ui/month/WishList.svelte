<script lang="ts">
	import { dragHandleZone, TRIGGERS, type DndEvent } from 'svelte-dnd-action';
	import { calm } from '../shell/calm';
	import type { MonthDesk } from './month-desk.svelte';
	import WishRow from './WishRow.svelte';

	let { desk }: { desk: MonthDesk } = $props();

	/** What is dragged is a place in the order; the library need not know of every keystroke in a wish. */
	interface Place {
		readonly id: string;
	}

	const ids = $derived(desk.wishes.map(({ id }) => id).join('\n'));
	const inOrder = $derived(
		ids
			.split('\n')
			.filter(Boolean)
			.map((id): Place => ({ id }))
	);
	/** The order while a row is being dragged; otherwise the desk's. */
	let dragged = $state.raw<Place[]>();
	const shown = $derived(dragged ?? inOrder);
	const wishes = $derived(new Map(desk.wishes.map((wish) => [wish.id, wish])));

	function consider(event: CustomEvent<DndEvent<Place>>) {
		// By keyboard a drag ends with this; nothing is finalized after it.
		const over = event.detail.info.trigger === TRIGGERS.DRAG_STOPPED;
		dragged = over ? undefined : event.detail.items;
	}

	function finalize(event: CustomEvent<DndEvent<Place>>) {
		dragged = undefined;
		desk.change({ wishes: event.detail.items.flatMap(({ id }) => wishes.get(id) ?? []) });
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
		flipDurationMs: calm() ? 0 : 150,
		dropTargetStyle: {},
		autoAriaDisabled: true,
		zoneTabIndex: -1
	}}
	onconsider={consider}
	onfinalize={finalize}
>
	{#each shown as place, index (place.id)}
		{@const wish = wishes.get(place.id)}
		<li class="border-b border-hairline bg-sheet">
			{#if wish}<WishRow {desk} {wish} {index} />{/if}
		</li>
	{/each}
</ol>
