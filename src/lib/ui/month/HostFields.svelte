<script lang="ts">
	import { bothPages, formById } from '$lib/core/forms';
	import { formsOf, mayLieOver, roomsOf } from '$lib/core/fit';
	import { allWishes, mayHold, type Wish } from '$lib/core/wish';
	import Select from '../fields/Select.svelte';
	import { focusOn } from '../focus';
	import { nameOf } from './block-name';
	import type { MonthDesk } from './month-desk.svelte';

	/** In which other wish it lives, and in which of its rooms. */
	let { desk, wish, host }: { desk: MonthDesk; wish: Wish; host: Wish | undefined } = $props();

	const hosts = $derived(
		allWishes(desk.wishes).filter(
			(other) =>
				other.id === host?.id ||
				(mayHold(desk.wishes, other.id, wish.id) && formsOf(other).some(({ rooms }) => rooms))
		)
	);
	/** Of a set all weeks: what is seen all through it is a room of one of them. */
	const blocks = $derived(desk.run.blocks.filter((block) => block.wish === host?.id));
	/** The rooms that the host has where it lies now; over both pages it lies as soon as something wants that. */
	const rooms = $derived.by(() => {
		const open = new Set(
			blocks.flatMap((block) => roomsOf(desk.plan, block)).map(({ name }) => name)
		);
		const named = blocks.flatMap(({ form }) => formById(form)?.rooms ?? []);
		return [...new Map(named.map((room) => [room.name, room])).values()].filter(
			({ name }) => open.has(name) || name === wish.room || (name === bothPages && mayLieOver(wish))
		);
	});

	/** Its row comes up elsewhere in the list, and the focus with it. */
	function move(to: string) {
		if (to) desk.into(wish.id, to);
		else desk.takeOut(wish.id);
		void focusOn(`[data-wish="${wish.id}"]`);
	}
</script>

{#if host || hosts.length > 0}
	<Select
		label="Place"
		value={host?.id ?? ''}
		options={[
			{ value: '', label: 'a place of its own' },
			...hosts.map((other) => ({ value: other.id, label: `with “${nameOf(other)}”` }))
		]}
		onchange={move}
	/>
{/if}
{#if rooms.length > 1}
	<Select
		label="Position there"
		value={wish.room ?? ''}
		options={[
			{ value: '', label: 'wherever it fits' },
			...rooms.map(({ name, label }) => ({ value: name, label }))
		]}
		onchange={(room) => desk.edit(wish.id, { room: room || undefined, spot: undefined })}
	/>
{/if}
