<script lang="ts">
	import { addMonths } from '$lib/core/month';
	import { monthWords } from '$lib/ui/words';
	import AddWish from '$lib/ui/month/AddWish.svelte';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import IndexLines from '$lib/ui/month/IndexLines.svelte';
	import MonthSettings from '$lib/ui/month/MonthSettings.svelte';
	import PagesMeter from '$lib/ui/month/PagesMeter.svelte';
	import MovedOthers from '$lib/ui/month/MovedOthers.svelte';
	import Proof from '$lib/ui/month/Proof.svelte';
	import RunPicture from '$lib/ui/month/RunPicture.svelte';
	import MissingLetters from '$lib/ui/page/MissingLetters.svelte';
	import SaveState from '$lib/ui/month/SaveState.svelte';
	import ThemeFields from '$lib/ui/theme/ThemeFields.svelte';
	import Suggestions from '$lib/ui/month/Suggestions.svelte';
	import WishList from '$lib/ui/month/WishList.svelte';

	const current = getMonthDesk();
	const desk = $derived(current());
	const title = $derived(monthWords(desk.plan.month));
	const lost = $derived(desk.run.unplaced.length);
	const moves = $derived(desk.nextMoves);
</script>

<svelte:head><title>{title} · Horarium</title></svelte:head>

<main id="main" class="grid flex-1 md:grid-cols-[minmax(17rem,25rem)_1fr] print:block">
	<section
		aria-label="What the month should hold"
		class="flex min-w-0 flex-col border-r border-hairline bg-sheet px-5 py-4 print:hidden"
	>
		<h1 class="text-3xl">{title}</h1>
		<MonthSettings {desk} />
		<ThemeFields {desk} />
		<WishList {desk} />
		<div class="flex flex-wrap items-center gap-2 pt-4">
			<AddWish {desk} />
			<button class="button" disabled={!desk.canUndo} onclick={() => desk.undo()}>Undo</button>
			<button class="button" disabled={!desk.canRedo} onclick={() => desk.redo()}>Redo</button>
			<span class="ml-auto flex flex-wrap items-center gap-x-3">
				<SaveState {desk} />
				<a class="text-sm" href="/months/{desk.id}/earlier">What it was before</a>
			</span>
		</div>
	</section>
	<section
		aria-label="The run of pages"
		class="flex min-w-0 flex-col gap-5 px-5 py-5 md:sticky md:top-0 md:max-h-dvh md:self-start md:overflow-auto lg:px-7 print:static print:max-h-none print:overflow-visible print:p-0"
	>
		<p class="hidden font-serif text-2xl print:block">{title}</p>
		<div class="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 print:hidden">
			<div class="min-w-0 flex-1 basis-60"><PagesMeter {desk} /></div>
			<a class="button" href="/months/{desk.id}/compare">Compare</a>
			<a class="button" href="/months/{desk.id}/sheets">Print and save</a>
			<a class="button" href="/months/{desk.id}/look-back?over=next"
				>Plan {monthWords(addMonths(desk.plan.month, 1)).split(' ')[0]}</a
			>
		</div>
		<div class="flex flex-col gap-5 print:hidden">
			<Suggestions {desk} />
			<Proof {desk} />
		</div>
		<MovedOthers {desk} />
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
				{lost === 1 ? 'One wish has' : `${lost} wishes have`} no place in the free pages. The list on
				the left says what is missing.
			</p>
		{/if}
		{#if desk.run.pages.length === 0}
			<p class="max-w-lg py-10 text-lg">
				The run is empty. Add pages on the left and they are fitted into the notebook here.
			</p>
		{:else}
			<RunPicture {desk} />
			<IndexLines {desk} />
		{/if}
	</section>
</main>
