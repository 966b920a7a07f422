<script lang="ts">
	import { monthWords } from '$lib/ui/words';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { onMount, tick, untrack } from 'svelte';
	import { blocksOn, themeOn } from '$lib/core/page';
	import { pageGuide, passesOf, sentenceOf } from '$lib/core/guide';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { DoneSteps } from '$lib/ui/guide/done-steps.svelte';
	import StripLinks from '$lib/ui/guide/StripLinks.svelte';
	import PasteList from '$lib/ui/guide/PasteList.svelte';
	import StepStrokes from '$lib/ui/guide/StepStrokes.svelte';
	import { countedIn } from '$lib/ui/guide/counted-in.svelte';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import MissingLetters from '$lib/ui/page/MissingLetters.svelte';
	import NotInRun from '$lib/ui/page/NotInRun.svelte';
	import { openSpread } from '$lib/ui/page/open-spread';
	import StepColour from '$lib/ui/theme/StepColour.svelte';
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
	/** The pass that the step belongs to. */
	const here = $derived(passes.find((pass) => pass.steps.includes(at)));
	/** Where all is pasted there is no step to be ticked. */
	const finished = $derived(
		done.count >= steps.length && steps.length + (guide?.pastes.length ?? 0) > 0
	);
	const drawn = $derived(desk.month.drawn?.pages.includes(open?.page ?? 0) ?? false);
	const nextPage = $derived(pages.find((number) => number > (open?.page ?? 0)));
	let list = $state<HTMLElement>();

	const address = (number: number) => `/months/${desk.id}/guide/${number}`;

	/** Keeps the two numbers of a dot on one line. */
	function unbroken(sentence: string): string {
		return sentence.replace(/\((\d+), (\d+)\)/g, '($1,\u00a0$2)');
	}

	function show(index: number) {
		at = Math.min(steps.length - 1, Math.max(0, index));
		list?.querySelector(`[data-step-at="${at}"]`)?.scrollIntoView({ block: 'nearest' });
	}

	/** Follows, or shows all; the button that ticks takes the keyboard. */
	async function follow() {
		following = !following;
		await tick();
		document.querySelector<HTMLElement>('[data-done]')?.focus();
	}

	function tickOff() {
		const next = at + 1;
		done.set(at, true);
		show(next);
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
		if (event.key === 'ArrowDown') show(at + 1);
		else if (event.key === ' ' && !onButton) tickOff();
		else if (event.key === 'ArrowUp') show(at - 1);
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
						{@const step = steps[at]}
						{#if number === open.page && step}
							<StepStrokes {step} />
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
				<h2 class="pt-3 text-lg">{here?.pass.name}</h2>
				<p class="text-ink-soft" role="status">
					Step {at + 1} of {steps.length}, {done.count} done
				</p>
				<p class="py-3 font-serif text-3xl leading-snug" aria-current="step" aria-live="polite">
					{sentences[at]}<StepColour step={steps[at]} {theme} />
				</p>
				{#if here && here.steps.at(-1) === at}
					<p class="border-l-4 border-hairline py-1 pl-3 text-ink-soft italic">{here.pass.then}</p>
				{/if}
				<div class="flex flex-wrap gap-3 py-3">
					<button
						class="button min-h-14 px-6 text-xl"
						disabled={at === 0}
						onclick={() => show(at - 1)}>Back</button
					>
					<button class="button min-h-14 flex-1 px-6 text-xl" data-step data-done onclick={tickOff}
						>{done.has(at) ? 'Next' : 'Done'}</button
					>
				</div>
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
				<div bind:this={list}>
					{#each passes as { pass, steps: own } (pass.id)}
						<h2 class="pt-3 text-lg">{pass.name}</h2>
						<ol class="flex flex-col">
							{#each own as index (index)}
								<li class="flex {index === at ? 'bg-chosen' : ''}" data-step-at={index}>
									<input
										type="checkbox"
										class="mx-2 mt-2.5 size-5 shrink-0 accent-calm"
										aria-label="Step {index + 1} is done"
										checked={done.has(index)}
										onchange={(event) => done.set(index, event.currentTarget.checked)}
									/>
									<button
										data-step
										class="flex w-full gap-3 border-l-4 px-2 py-1.5 text-left {index === at
											? 'border-calm'
											: 'border-transparent hover:bg-sheet'}"
										aria-current={index === at ? 'step' : undefined}
										onclick={() => show(index)}
									>
										<span class="w-6 shrink-0 text-right font-serif text-lg text-rubric"
											>{index + 1}</span
										>
										<span class={done.has(index) ? 'text-ink-soft' : ''}
											>{sentences[index]}<StepColour step={steps[index]} {theme} /></span
										>
									</button>
								</li>
							{/each}
						</ol>
						<p class="border-l-4 border-hairline py-1 pl-3 text-ink-soft italic">{pass.then}</p>
					{/each}
				</div>
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
					At the month’s end its numbers stand under
					<a class="underline" href="/months/{desk.id}/look-back">Look back</a>, ready to be copied
					here.
				</p>
			{/if}
			{#if guide.checks.length > 0}
				<h2 class="pt-5 pb-1 text-xl">Check</h2>
				<ul class="list-disc pl-6">
					{#each guide.checks as check, index (index)}<li>{check}</li>{/each}
				</ul>
			{/if}
			{#if steps.length > 0}
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
