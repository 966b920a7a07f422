<script lang="ts">
	import { dragHandleZone, TRIGGERS, type DndEvent } from 'svelte-dnd-action';
	import { calm } from '../shell/calm';
	import { allWishes, type Wish } from '$lib/core/wish';
	import { nameOf } from './block-name';
	import type { MonthDesk } from './month-desk.svelte';
	import Self from './WishList.svelte';
	import WishRow from './WishRow.svelte';

	interface Props {
		desk: MonthDesk;
		/** The wish whose members these are; the month's own wishes without one. */
		host?: Wish;
	}
	/** Wishes in their order; a row that is dragged into another's members lives there from then on. */
	let { desk, host }: Props = $props();

	/** What is dragged is a place in the order; the library need not know of every keystroke in a wish. */
	interface Place {
		readonly id: string;
	}

	const own = $derived(host ? (host.members ?? []) : desk.wishes);
	const ids = $derived(own.map(({ id }) => id).join('\n'));
	const inOrder = $derived(
		ids
			.split('\n')
			.filter(Boolean)
			.map((id): Place => ({ id }))
	);
	/** The order while a row is being dragged; otherwise the desk's. */
	let dragged = $state.raw<Place[]>();
	const shown = $derived(dragged ?? inOrder);
	const wishes = $derived(new Map(allWishes(desk.wishes).map((wish) => [wish.id, wish])));

	function consider(event: CustomEvent<DndEvent<Place>>) {
		// By keyboard a drag ends with this; nothing is finalized after it.
		const over = event.detail.info.trigger === TRIGGERS.DRAG_STOPPED;
		dragged = over ? undefined : event.detail.items;
	}

	function finalize(event: CustomEvent<DndEvent<Place>>) {
		dragged = undefined;
		desk.arrange(
			host?.id,
			event.detail.items.map(({ id }) => id)
		);
	}
</script>

{#snippet list(wish: Wish)}
	<Self {desk} host={wish} />
{/snippet}
{#if shown.length === 0 && !host}
	<p class="py-6 text-ink-soft">Nothing is planned yet. Type above what you want to keep.</p>
{/if}
<ol
	aria-label={host ? `In ${nameOf(host)}` : 'Wishes'}
	class="flex flex-col {host ? 'mb-1 ml-5 min-h-4' : ''}"
	use:dragHandleZone={{
		items: shown,
		flipDurationMs: calm() ? 0 : 150,
		type: 'wishes',
		// Rows are of very unlike heights; what is dragged keeps its own, or it leaps away from the hand.
		morphDisabled: true,
		dropTargetStyle: host ? { outline: '2px dashed var(--calm)' } : {},
		autoAriaDisabled: true,
		zoneTabIndex: -1
	}}
	onconsider={consider}
	onfinalize={finalize}
>
	{#each shown as place, index (place.id)}
		{@const wish = wishes.get(place.id)}
		<li class="bg-sheet">
			{#if wish}<WishRow {desk} {wish} {index} {host} {list} />{/if}
		</li>
	{/each}
</ol>
