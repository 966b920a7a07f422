<script lang="ts">
	import { monthWords } from '$lib/ui/words';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { onMount, tick, untrack } from 'svelte';
	import { blocksOn, handMarks, themeOn } from '$lib/core/page';
	import { inkOf, pageGuide, passesOf, sentenceOf } from '$lib/core/guide';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { DoneSteps } from '$lib/ui/guide/done-steps.svelte';
	import FollowPortion from '$lib/ui/guide/FollowPortion.svelte';
	import CheckByPicture from '$lib/ui/guide/CheckByPicture.svelte';
	import StripLinks from '$lib/ui/guide/StripLinks.svelte';
	import PasteList from '$lib/ui/guide/PasteList.svelte';
	import StepList from '$lib/ui/guide/StepList.svelte';
	import StepStrokes from '$lib/ui/guide/StepStrokes.svelte';
	import { countedIn } from '$lib/ui/guide/counted-in.svelte';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import MarksPicture from '$lib/ui/page/MarksPicture.svelte';
	import { themeStyle } from '$lib/ui/page/theme-style';
	import MissingLetters from '$lib/ui/page/MissingLetters.svelte';
	import NotInRun from '$lib/ui/page/NotInRun.svelte';
	import { openSpread } from '$lib/ui/page/open-spread';
	import SpreadPicture from '$lib/ui/page/SpreadPicture.svelte';
	import { isTyping } from '$lib/ui/shell/keys';

	let { data } = $props();
	const current = getMonthDesk();
	const desk = $derived(current());
	const open = $derived(openSpread(desk.run, page.params.page));
	const guide = $derived(open && pageGuide(desk.plan, desk.run, open.page));
	const steps = $derived(guide?.steps ?? []);
	const passes = $derived(passesOf(steps));
	const sentences = $derived(
		guide ? guide.steps.map((step) => unbroken(sentenceOf(step, guide.size, countedIn.unit))) : []
	);
	/** Pages with something to draw. */
	const pages = $derived(
		desk.run.pages
			.map((page) => page.number)
			.filter((number) => blocksOn(desk.run, number).length > 0)
	);
	/** What is ticked is known to the browser only. */
	let mounted = $state(false);
	onMount(() => {
		mounted = true;
	});
	const done = $derived(
		new DoneSteps(
			`horarium guide ${desk.id} ${open?.page}`,
			mounted ? JSON.stringify(guide?.steps) : ''
		)
	);
	/** The step one is at; a page begins at the first that is not done. */
	let at = $derived.by(() => {
		const [ticks, last] = [done, Math.max(0, steps.length - 1)];
		return untrack(() => Math.min(ticks.next(steps.length) ?? last, last));
	});
	let following = $state(false);
	/** Where all is pasted there is no step to be ticked. */
	const finished = $derived(
		done.count >= steps.length && steps.length + (guide?.pastes.length ?? 0) > 0
	);
	const portions = $derived(guide?.portions ?? []);
	const portionAt = $derived(portions.findIndex(({ steps }) => steps.includes(at)));
	const portion = $derived(portions[portionAt]);
	const portionsDone = $derived(
		portions.filter(({ steps }) => steps.every((step) => done.has(step))).length
	);
	/** What the pass says that ends with this portion. */
	const then = $derived(
		portion && portion.pass !== portions[portionAt + 1]?.pass ? portion.pass.then : undefined
	);
	/** What is drawn so far, in ink; what is next stands out over the grey of what is to come. */
	const marks = $derived(open ? handMarks(desk.plan, desk.run, open.page) : []);
	const ink = $derived(
		inkOf(
			steps.filter((_, index) => done.has(index)),
			marks
		)
	);
	const nextSteps = $derived(
		finished
			? []
			: (following && portion ? portion.steps : [at]).flatMap((index) => steps[index] ?? [])
	);
	const drawn = $derived(desk.month.drawn?.pages.includes(open?.page ?? 0) ?? false);
	const nextPage = $derived(pages.find((number) => number > (open?.page ?? 0)));

	const address = (number: number) => `/months/${desk.id}/guide/${number}`;

	/** Keeps the two numbers of a dot on one line. */
	function unbroken(sentence: string): string {
		return sentence.replace(/\((\d+), (\d+)\)/g, '($1,\u00a0$2)');
	}

	function show(index: number) {
		at = Math.min(steps.length - 1, Math.max(0, index));
	}

	/** Follows, or shows all; the button that ticks takes the keyboard. */
	async function follow() {
		following = !following;
		await tick();
		document.querySelector<HTMLElement>('[data-done]')?.focus();
	}

	/** Ticks a step, or all of a portion, and goes on; where all is done it goes on with the next page. */
	function tickOff() {
		if (following && finished) return turn(1);
		const ticked = following && portion ? portion.steps : [at];
		done.set(ticked, true);
		show(Math.max(...ticked) + 1);
	}

	/** The step, or in a portion the first of those, that comes so many before or after. */
	function step(by: number) {
		if (following) show(portions[portionAt + by]?.steps[0] ?? at);
		else show(at + by);
	}

	function turn(by: number) {
		const from = open?.page ?? 0;
		const to = by > 0 ? nextPage : pages.findLast((number) => number < from);
		if (to !== undefined) void goto(address(to), { keepFocus: true });
	}

	function pressed(event: KeyboardEvent) {
		if (isTyping(event) || event.altKey || event.ctrlKey || event.metaKey) return;
		const onButton =
			event.target instanceof HTMLElement &&
			event.target.closest('button:not([data-step]), a, summary');
		if (event.key === 'ArrowDown') step(1);
		else if (event.key === ' ' && !onButton) tickOff();
		else if (event.key === 'ArrowUp') step(-1);
		else if (event.key === 'ArrowLeft') turn(-1);
		else if (event.key === 'ArrowRight') turn(1);
		else return;
		event.preventDefault();
	}
	const theme = $derived(open && themeOn(desk.plan, desk.run, open.page));
	/** Totals of the month are gathered on this page. */
	const gathers = $derived(
		open !== undefined &&
			blocksOn(desk.run, open.page).some(({ as }) =>
				['month-review', 'cash-page'].includes(as.kind)
			)
	);
</script>

<svelte:head
	><title
		>{open ? `Page ${open.page}, dot by dot` : 'Counting guide'} · {monthWords(desk.plan.month)} · Horarium</title
	></svelte:head
>
<svelte:window onkeydown={pressed} />

<main
	id="main"
	class="grid min-h-0 flex-1 gap-6 px-5 py-3 print:block print:p-0 {following
		? 'lg:grid-cols-[1fr_1fr]'
		: 'lg:grid-cols-[1fr_27rem]'}"
>
	{#if open && guide}
		<section
			aria-label="The step on the page"
			class="min-w-0 self-start lg:sticky lg:top-3 print:static"
		>
			<div class="mx-auto max-w-[calc((100dvh-6rem)*1.42)]">
				<SpreadPicture
					plan={desk.plan}
					run={desk.run}
					spread={open.spread}
					ruler
					label="Pages {open.spread.left} and {open.spread.right} with the step of the guide marked"
				>
					{#snippet overlay(number)}
						{#if number === open.page}
							<rect
								x="-1"
								y="-1"
								width={guide.size.w + 2}
								height={guide.size.h + 2}
								class="fill-paper opacity-70"
							/>
							<g style={themeStyle(theme)}>
								<MarksPicture marks={ink} hand={desk.plan.hand} lang={desk.plan.locale} />
							</g>
							{#each nextSteps as next, index (index)}
								<StepStrokes step={next} quiet={index > 0} />
							{/each}
						{/if}
					{/snippet}
				</SpreadPicture>
			</div>
		</section>
		<section aria-label="Counting guide" class="flex min-w-0 flex-col">
			<div class="flex flex-wrap items-baseline justify-between gap-x-4">
				<h1 class="text-2xl">Page {open.page}, dot by dot</h1>
				{#if steps.length > 0}
					<button class="button" aria-pressed={following} onclick={follow}
						>{following ? 'Show all steps' : 'Follow step by step'}</button
					>
				{/if}
			</div>
			<nav aria-label="Pages of the run" class="flex flex-wrap gap-1 py-2">
				{#each pages as number (number)}
					<a
						class="min-w-8 border px-1.5 text-center {number === open.page
							? 'border-ink bg-ink text-field'
							: 'border-hairline bg-field hover:bg-chosen'}"
						aria-current={number === open.page ? 'page' : undefined}
						href={address(number)}>{number}</a
					>
				{/each}
			</nav>
			<MissingLetters plan={desk.plan} run={desk.run} pages={[open.page]} />
			{#if guide.cuts.length > 0}
				<div class="my-2 border-l-4 border-caution bg-caution-ground px-3 py-2">
					<h2 class="text-lg">{guide.cutsBetween ? 'The window, in this order' : 'Cut first'}</h2>
					<ol class="{guide.cutsBetween ? 'list-decimal' : 'list-disc'} pl-5 text-sm">
						{#each guide.cuts as cut, index (index)}<li>{cut}</li>{/each}
					</ol>
					<p class="pt-1 text-sm">Dots keep the numbers that they had before the cut.</p>
				</div>
			{/if}
			{#if steps.length === 0 && guide.pastes.length === 0}
				<p class="text-ink-soft">Nothing is drawn on this page.</p>
			{:else if steps.length > 0 && following}
				{#if portion}
					<FollowPortion
						{portion}
						index={portionAt}
						count={portions.length}
						doneCount={portionsDone}
						{steps}
						{sentences}
						{theme}
						done={portion.steps.every((step) => done.has(step))}
						{then}
						onback={() => step(-1)}
						ondone={tickOff}
					/>
				{/if}
			{:else if steps.length > 0}
				<div class="flex flex-wrap items-end justify-between gap-x-4 gap-y-2 pb-2">
					<p class="max-w-64 text-ink-soft">
						The first dot, (0, 0), is at the top left. (3, 5) is 3 right and 5 down. No count goes
						beyond ten.
					</p>
					<Choice
						label="I count"
						value={countedIn.unit}
						options={[
							{ value: 'squares', label: 'squares' },
							{ value: 'dots', label: 'dots' }
						]}
						onchange={(unit) => (countedIn.unit = unit)}
					/>
				</div>
				<StepList {passes} {steps} {sentences} {at} {done} {theme} onshow={show} />
			{/if}
			{#if guide.pastes.length > 0}
				<PasteList pastes={guide.pastes.map(unbroken)} />
			{/if}
			{#if finished}
				<div class="my-3 border-l-4 border-calm bg-chosen px-3 py-3" role="status">
					<p class="font-serif text-xl">Page {open.page} is finished.</p>
					<div class="flex flex-wrap gap-3 pt-2">
						{#if drawn}
							<p class="self-center text-ink-soft">It is marked as drawn and stays as it is.</p>
						{:else}
							<button class="button" onclick={() => open && desk.setDrawn(open.page, true)}
								>Mark it as drawn in the book</button
							>
						{/if}
						{#if nextPage !== undefined}
							<a class="button" href={address(nextPage)}>Go on with page {nextPage}</a>
						{/if}
					</div>
				</div>
			{/if}
			{#if gathers}
				<p class="pt-4">
					At the end of the month you find its numbers under
					<a class="underline" href="/months/{desk.id}/look-back">Look back</a>, ready to be copied
					here.
				</p>
			{/if}
			{#if guide.checks.length > 0 && (!following || finished)}
				<h2 class="pt-5 pb-1 text-xl">Check</h2>
				<ul class="list-disc pl-6">
					{#each guide.checks as check, index (index)}<li>{check}</li>{/each}
				</ul>
			{/if}
			{#if steps.length > 0}
				{#key open.page}
					<CheckByPicture {desk} {guide} onright={(right) => done.set(right, true)} />
				{/key}
				<StripLinks
					monthId={desk.id}
					page={open.page}
					printers={data.printers}
					locale={data.locale}
				/>
			{/if}
			{#if done.count > 0}
				<p class="pt-4">
					<button class="button button-quiet" onclick={() => done.clear()}>Restart page</button>
				</p>
			{/if}
		</section>
	{:else}
		<NotInRun {desk} />
	{/if}
</main>
