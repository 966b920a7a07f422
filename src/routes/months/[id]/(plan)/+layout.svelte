<script lang="ts">
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { addMonths } from '$lib/core/month';
	import { monthWords } from '$lib/ui/words';
	import AddField from '$lib/ui/month/AddField.svelte';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import IndexLines from '$lib/ui/month/IndexLines.svelte';
	import MonthSettings from '$lib/ui/month/MonthSettings.svelte';
	import PagesMeter from '$lib/ui/month/PagesMeter.svelte';
	import Accounted from '$lib/ui/month/Accounted.svelte';
	import Proof from '$lib/ui/month/Proof.svelte';
	import RunPicture from '$lib/ui/month/RunPicture.svelte';
	import MissingLetters from '$lib/ui/page/MissingLetters.svelte';
	import NotInRun from '$lib/ui/page/NotInRun.svelte';
	import SaveState from '$lib/ui/month/SaveState.svelte';
	import ThemeFields from '$lib/ui/theme/ThemeFields.svelte';
	import Suggestions from '$lib/ui/month/Suggestions.svelte';
	import WishList from '$lib/ui/month/WishList.svelte';
	import WishPanel from '$lib/ui/month/WishPanel.svelte';
	import { openSpread } from '$lib/ui/page/open-spread';
	import Notices from '$lib/ui/shell/Notices.svelte';

	let { children } = $props();
	const current = getMonthDesk();
	const desk = $derived(current());
	const title = $derived(monthWords(desk.plan.month));
	const lost = $derived(desk.run.unplaced.length);
	const moves = $derived(desk.nextMoves);
	const asked = $derived(page.params.page);
	const opened = $derived(asked === undefined ? undefined : openSpread(desk.run, asked));

	const withKinds = $derived(page.url.searchParams.has('kinds'));
	/** Where the chosen wish begins in the run. */
	const goal = $derived(desk.run.blocks.find(({ wish }) => wish === desk.chosen)?.pieces[0].page);
	// The spread of what is chosen is opened; whoever leafs on from it has chosen nothing any more.
	$effect(() => {
		// From the drawer several things may be added in a row.
		if (goal === undefined || withKinds) return;
		untrack(() => void opens(goal));
	});

	function opens(number: number) {
		const spread = opened?.spread;
		const seen = desk.run.blocks.some(
			({ wish, pieces }) =>
				wish === desk.chosen &&
				pieces.some(({ page }) => page === spread?.left || page === spread?.right)
		);
		if (seen) return;
		void goto(`/months/${desk.id}/pages/${number}`, {
			keepFocus: true,
			noScroll: true,
			replaceState: opened !== undefined
		});
	}

	/** On small screens the list is a drawer. */
	let listed = $state(false);
	$effect(() => {
		if (desk.chosen !== undefined) listed = false;
	});

	const closeKinds = () => goto(page.url.pathname, { keepFocus: true, noScroll: true });
</script>

<main
	id="main"
	class="flex flex-1 flex-col lg:grid lg:min-h-0 lg:basis-0 lg:grid-cols-[16.5rem_1fr] lg:grid-rows-[minmax(0,1fr)] print:block print:h-auto"
>
	<h1 class="sr-only">{title}</h1>
	<div class="flex items-center gap-2 px-5 pt-3 lg:hidden print:hidden">
		<button class="button" aria-expanded={listed} onclick={() => (listed = !listed)}
			>{listed ? 'Close the list' : `List of ${desk.wishes.length}`}</button
		>
		<button class="button" disabled={!desk.canUndo} onclick={() => desk.undo()}>Undo</button>
	</div>
	<section
		aria-label="What the month should hold"
		class="min-w-0 flex-col border-r border-hairline bg-sheet lg:flex lg:min-h-0 print:hidden {listed
			? 'flex'
			: 'hidden'}"
	>
		<div class="flex items-center gap-2 px-4 pt-3 pb-1">
			<AddField {desk} />
			<a
				class="button"
				href="?kinds"
				data-sveltekit-noscroll
				title="All kinds of pages, drawn"
				aria-label="All kinds of pages, drawn">All</a
			>
		</div>
		<div class="relative flex-1 px-4 pb-4 lg:overflow-auto">
			<WishList {desk} />
			<div class="pt-4">
				<MonthSettings {desk} />
				<ThemeFields {desk} />
			</div>
		</div>
		<div class="flex items-center gap-2 border-t border-hairline px-4 py-2">
			<button
				class="button"
				disabled={!desk.canUndo}
				title="Undo (Ctrl Z)"
				onclick={() => desk.undo()}>Undo</button
			>
			<button
				class="button"
				disabled={!desk.canRedo}
				title="Redo (Ctrl Shift Z)"
				onclick={() => desk.redo()}>Redo</button
			>
			<span class="ml-auto"><SaveState {desk} /></span>
			<a
				class="text-sm underline decoration-hairline underline-offset-4"
				href="/months/{desk.id}/earlier">Earlier</a
			>
		</div>
	</section>
	<section
		aria-label="The run of pages"
		class="relative flex min-w-0 flex-col gap-4 px-5 py-4 [overflow-anchor:none] lg:overflow-auto lg:px-6 print:static print:overflow-visible print:p-0"
	>
		<p class="hidden font-serif text-2xl print:block">{title}</p>
		<div class="flex flex-wrap items-end justify-between gap-x-6 gap-y-2 print:hidden">
			<div class="flex flex-wrap items-baseline gap-x-4">
				<PagesMeter {desk} />
				<Proof {desk} />
			</div>
			<Suggestions {desk} />
		</div>
		<MissingLetters plan={desk.plan} run={desk.run} />
		{#if moves}
			<p class="border-l-4 border-calm bg-sheet px-3 py-2 print:hidden" role="status">
				{monthWords(moves.month)} moves by {Math.abs(moves.by)}
				{Math.abs(moves.by) === 1 ? 'page' : 'pages'}: it begins on page {moves.to}. What is pinned
				there stays on its pages.
			</p>
		{/if}
		{#if lost > 0}
			<p class="border-l-4 border-caution bg-caution-ground px-3 py-2" role="status">
				{lost === 1 ? 'One wish has' : `${lost} wishes have`} no place in the free pages. The list says
				what would help.
			</p>
		{/if}
		{#if desk.chosen !== undefined && goal === undefined && !desk.planning}
			<div class="max-w-md border-y-2 border-calm py-3"><WishPanel {desk} /></div>
		{/if}
		{#if asked !== undefined && !opened && !desk.planning}<NotInRun {desk} />{/if}
		{#if desk.run.pages.length === 0}
			<p class="max-w-lg py-10 text-lg">
				No page is planned yet. Add what you want to keep, and it is fitted into the notebook here.
			</p>
		{:else}
			<RunPicture {desk} {opened} />
			<div class="flex flex-wrap items-start justify-between gap-4 print:hidden">
				<IndexLines {desk} />
				<a class="button" href="/months/{desk.id}/look-back?over=next"
					>Plan {monthWords(addMonths(desk.plan.month, 1)).split(' ')[0]}</a
				>
			</div>
		{/if}
		<Accounted {desk} />
	</section>
</main>
{@render children()}
{#if withKinds}
	{#await import('$lib/ui/kinds/KindsDrawer.svelte') then { default: KindsDrawer }}
		<KindsDrawer {desk} onclose={closeKinds} />
	{/await}
{/if}
<Notices />
