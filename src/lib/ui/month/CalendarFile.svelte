<script lang="ts">
	import type { PlannedEvent } from '$lib/core/forms';
	import type { Wish } from '$lib/core/wish';
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import AddressForm from '../share/AddressForm.svelte';
	import { askOutside } from '../share/outside';
	import { readCalendarFile } from './calendar-reader';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk, wish }: { desk: MonthDesk; wish: Wish } = $props();
	const id = $props.id();

	let address = $state(untrack(() => page.data.calendar ?? ''));
	/** What the address said the last time, so that it need not be read again. */
	let tag: string | undefined;
	/** Events of an address that are not taken yet. */
	let offered = $state.raw<readonly PlannedEvent[]>();
	const mostBytes = 30_000_000;
	let told = $state<string>();
	let notes = $state.raw<readonly string[]>([]);
	let stop = $state.raw<AbortController>();
	let over = $state(false);

	async function ask() {
		offered = undefined;
		told = 'The calendar is being asked …';
		const answer = await askOutside('calendar', address, undefined, tag);
		if (answer.kind === 'trouble') told = `${answer.says} Nothing was taken.`;
		else if (answer.kind === 'same') told = 'The calendar is as it was.';
		else {
			tag = answer.tag;
			await look(answer.text);
		}
	}

	/** Shows what of a calendar is new before it is taken. */
	async function look(text: string) {
		const read = await readCalendarFile(text, desk.plan.month, new AbortController().signal);
		if (!read.ok) {
			told = read.message;
			return;
		}
		notes = read.notes;
		const before = new Set((wish.events ?? []).map(key));
		const fresh = read.events.filter((event) => !before.has(key(event)));
		told = fresh.length === 0 ? 'All of it stands here already.' : undefined;
		offered = fresh.length > 0 ? fresh : undefined;
	}

	function takeOffered() {
		if (!offered) return;
		desk.edit(wish.id, { events: [...(wish.events ?? []), ...offered] });
		told = `${offered.length} ${offered.length === 1 ? 'event was' : 'events were'} taken. Undo takes them away again.`;
		offered = undefined;
	}

	async function take(file: File | undefined) {
		if (!file) return;
		if (file.size > mostBytes) {
			told = 'This file is larger than 30 MB: nothing was taken from it.';
			return;
		}
		stop?.abort();
		const own = new AbortController();
		stop = own;
		told = 'Reading …';
		notes = [];
		const read = await readCalendarFile(await file.text(), desk.plan.month, own.signal);
		if (stop !== own) return;
		stop = undefined;
		if (!read.ok) {
			told = read.message;
			return;
		}
		notes = read.notes;
		const before = new Set((wish.events ?? []).map(key));
		const added = read.events.filter((event) => !before.has(key(event)));
		if (added.length > 0) desk.edit(wish.id, { events: [...(wish.events ?? []), ...added] });
		const left = read.leftOut > 0 ? ` ${read.leftOut} more were left out: a month holds 500.` : '';
		told =
			read.events.length === 0
				? 'The file holds nothing in this month that could be taken.'
				: `${added.length} ${added.length === 1 ? 'event was' : 'events were'} taken.${left} Undo takes them away again.`;
	}

	$effect(() => () => stop?.abort());

	const key = ({ day, time, text }: PlannedEvent) => `${day} ${time ?? ''} ${text}`;

	function dropped(event: DragEvent) {
		event.preventDefault();
		over = false;
		void take(event.dataTransfer?.files[0]);
	}
</script>

<div
	role="group"
	aria-label="Calendar file"
	class="border border-dashed p-2 {over ? 'border-calm bg-chosen' : 'border-ink-soft'}"
	ondragover={(event) => {
		event.preventDefault();
		over = true;
	}}
	ondragleave={() => (over = false)}
	ondrop={dropped}
>
	<label for={id} class="block text-sm text-ink-soft"
		>Take this month’s events from a calendar file (.ics), or drop it here</label
	>
	<input
		{id}
		type="file"
		accept=".ics,text/calendar"
		class="max-w-full text-sm"
		onchange={(event) => take(event.currentTarget.files?.[0])}
	/>
	<AddressForm
		bind:value={address}
		label="Or from an address on this machine or network"
		onask={ask}
	/>
	{#if offered}
		<div class="pt-1 text-sm" role="status">
			<p>New there:</p>
			<ul class="max-h-40 list-disc overflow-y-auto pl-5">
				{#each offered as { day, time, text }, at (at)}
					<li>{day} {time ?? ''} {text}</li>
				{/each}
			</ul>
			<button class="button mt-1" onclick={takeOffered}>Take them</button>
		</div>
	{/if}
	{#if told}
		<p role="status" class="flex flex-wrap items-center gap-3 pt-1 text-sm">
			{told}
			{#if stop}<button class="button min-h-8" onclick={() => stop?.abort()}>Stop</button>{/if}
		</p>
	{/if}
	{#if notes.length > 0}
		<ul class="list-disc pl-5 text-sm">
			{#each notes as note, index (index)}<li>{note}</li>{/each}
		</ul>
	{/if}
</div>
