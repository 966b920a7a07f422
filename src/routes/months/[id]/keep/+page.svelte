<script lang="ts">
	import { untrack } from 'svelte';
	import { replaceState } from '$app/navigation';
	import { page } from '$app/state';
	import { monthShape } from '$lib/core/month';
	import { spreadOf } from '$lib/core/paper';
	import { trackersOf } from '$lib/core/records';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import KeepDay from '$lib/ui/records/KeepDay.svelte';
	import KeepPage from '$lib/ui/records/KeepPage.svelte';
	import KeepPaper from '$lib/ui/records/KeepPaper.svelte';
	import KeepPictures from '$lib/ui/records/KeepPictures.svelte';
	import Undecided from '$lib/ui/records/Undecided.svelte';
	import { openedRecords } from '$lib/ui/records/records-desk.svelte';
	import { isTyping } from '$lib/ui/shell/keys';
	import { monthWords } from '$lib/ui/words';

	let { data } = $props();
	const current = getMonthDesk();
	const desk = $derived(current());
	const opened = openedRecords(
		() => desk.id,
		() => data.entries
	);
	const records = $derived(opened());

	const ways = ['day', 'page', 'paper', 'picture'] as const;
	type Way = (typeof ways)[number];

	const asked = untrack(() => page.url.searchParams);
	let way = $state<Way>(ways.find((one) => one === asked.get('way')) ?? 'day');
	let shownDay = $state(Number(asked.get('day')) || undefined);
	let shownPage = $state(Number(asked.get('page')) || undefined);
	let shownTracker = $state(asked.get('of') ?? undefined);

	const trackers = $derived(trackersOf(desk.plan, desk.run));
	const shape = $derived(monthShape(desk.plan.month, desk.plan.weekStart));
	const pages = $derived(
		[...new Set(trackers.flatMap(({ pages }) => pages))].sort((a, b) => a - b)
	);
	const spreads = $derived([...new Set(pages.map((number) => spreadOf(number).left))]);
	const left = $derived(
		spreads.find((spread) => spread === spreadOf(shownPage ?? 0).left) ?? spreads[0]
	);
	const tracker = $derived(trackers.find(({ wish }) => wish.id === shownTracker) ?? trackers[0]);
	const today = new Date();
	const day = $derived(
		Math.min(
			shape.days,
			Math.max(
				1,
				shownDay ??
					(today.getFullYear() === shape.year && today.getMonth() + 1 === shape.month
						? today.getDate()
						: 1)
			)
		)
	);
	const title = $derived(monthWords(desk.plan.month));

	/** The address tells where one is, so that a reload comes back there. */
	function remember() {
		const where = {
			page: `page=${left ?? ''}`,
			day: `day=${day}`,
			paper: `of=${encodeURIComponent(tracker?.wish.id ?? '')}`,
			picture: ''
		};
		replaceState(`?way=${way}&${where[way]}`, {});
	}

	function pressed(event: KeyboardEvent) {
		if (!(event.ctrlKey || event.metaKey) || event.altKey || isTyping(event)) return;
		const key = event.key.toLowerCase();
		if (key !== 'z' && key !== 'y') return;
		// Here it is what was filled in that is taken back, and not the month's plan.
		event.preventDefault();
		event.stopImmediatePropagation();
		if (key === 'y' || event.shiftKey) records.redo();
		else records.undo();
	}
</script>

<svelte:head><title>Keep {title} · Horarium</title></svelte:head>
<svelte:window onkeydowncapture={pressed} />

<main id="main" class="min-w-0 flex-1 px-5 py-4">
	<div class="flex flex-wrap items-center gap-x-6 gap-y-2">
		<h1 class="sr-only">Keep {title}</h1>
		<Choice
			label="Enter by"
			value={way}
			options={[
				{ value: 'day', label: 'day' },
				{ value: 'page', label: 'page' },
				{ value: 'paper', label: 'list' },
				{ value: 'picture', label: 'photograph' }
			]}
			onchange={(chosen) => {
				way = chosen;
				remember();
			}}
		/>
		<span class="ml-auto flex items-center gap-2">
			<button class="button" disabled={!records.canUndo} onclick={() => records.undo()}>Undo</button
			>
			<button class="button" disabled={!records.canRedo} onclick={() => records.redo()}>Redo</button
			>
			<span role="status" data-testid="save-state" class="text-sm text-ink-soft"
				>{records.saver.state.kind === 'saved'
					? 'Saved'
					: records.saver.state.kind === 'failed'
						? 'Not saved'
						: 'Saving …'}</span
			>
		</span>
	</div>
	{#if records.saver.state.kind === 'failed'}
		<p role="alert" class="my-2 bg-caution-ground px-3 py-2">{records.saver.state.message}</p>
	{/if}
	<Undecided {records} {trackers} {shape} />
	{#if trackers.length === 0}
		<p class="max-w-lg py-8 text-lg">
			No page of this month asks for anything yet. Add trackers to the month, and they can be filled
			in here.
		</p>
	{:else if way === 'page'}
		<nav aria-label="Pages to fill in" class="flex flex-wrap gap-1 py-2">
			{#each spreads as spread (spread)}
				<button
					class="min-w-8 border px-1.5 {spread === left
						? 'border-ink bg-ink text-field'
						: 'border-hairline bg-field hover:bg-chosen'}"
					aria-current={spread === left ? 'page' : undefined}
					onclick={() => {
						shownPage = spread;
						remember();
					}}>{spread}–{spread + 1}</button
				>
			{/each}
		</nav>
		{#if left !== undefined}
			{#key left}<KeepPage {desk} {records} spread={spreadOf(left)} />{/key}
		{/if}
	{:else if way === 'picture'}
		<KeepPictures {desk} {records} camera={data.camera} shared={data.shared} />
	{:else if way === 'day'}
		<KeepDay
			{desk}
			{records}
			{trackers}
			{day}
			onday={(chosen) => {
				shownDay = chosen;
				remember();
			}}
		/>
	{:else}
		<div class="grid gap-6 pt-3 md:grid-cols-[14rem_minmax(0,1fr)]">
			<nav aria-label="What was kept">
				{#each trackers as { wish, name, pages: on } (wish.id)}
					<button
						class="flex w-full gap-2 border-l-4 px-2 py-1 text-left {wish === tracker?.wish
							? 'border-calm bg-sheet'
							: 'border-transparent hover:bg-sheet'}"
						aria-current={wish === tracker?.wish ? 'true' : undefined}
						onclick={() => {
							shownTracker = wish.id;
							remember();
						}}
					>
						<span class="min-w-0 flex-1 truncate">{name}</span>
						<span class="text-sm text-ink-soft">{on[0]}</span>
					</button>
				{/each}
			</nav>
			{#if tracker}
				{#key tracker.wish.id}<KeepPaper
						{desk}
						{records}
						{tracker}
						{trackers}
						bank={data.bank}
						band={data.band}
					/>{/key}
			{/if}
		</div>
	{/if}
</main>
