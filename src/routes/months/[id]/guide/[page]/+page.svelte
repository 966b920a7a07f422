<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { pageMarks } from '$lib/core/fit';
	import { countingGuide } from '$lib/core/guide';
	import { pageOf } from '$lib/core/paper';
	import StepStrokes from '$lib/ui/guide/StepStrokes.svelte';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import NotInRun from '$lib/ui/page/NotInRun.svelte';
	import { openSpread } from '$lib/ui/page/open-spread';
	import SpreadPicture from '$lib/ui/page/SpreadPicture.svelte';
	import { isTyping } from '$lib/ui/shell/keys';

	const current = getMonthDesk();
	const desk = $derived(current());
	const open = $derived(openSpread(desk.run, page.params.page));
	const steps = $derived.by(() => {
		if (!open) return [];
		const { columns, rows } = pageOf(desk.plan.notebook, open.page);
		return countingGuide({ w: columns, h: rows }, pageMarks(desk.plan, desk.run, open.page));
	});
	const pages = $derived(desk.run.pages.map((page) => page.number));
	/** The step one is at; another page begins at its first. */
	let at = $derived(open ? 0 : 0);
	let list = $state<HTMLElement>();

	const address = (number: number) => `/months/${desk.id}/guide/${number}`;

	/** Keeps the two numbers of a dot on one line. */
	const unbroken = (sentence: string) => sentence.replace(/\((\d+), (\d+)\)/g, '($1,\u00a0$2)');

	function show(index: number) {
		at = Math.min(steps.length - 1, Math.max(0, index));
		list?.children[at]?.scrollIntoView({ block: 'nearest' });
	}

	function turn(by: number) {
		const to = pages[pages.indexOf(open?.page ?? 0) + by];
		if (to !== undefined) void goto(address(to), { keepFocus: true });
	}

	function pressed(event: KeyboardEvent) {
		if (isTyping(event) || event.altKey || event.ctrlKey || event.metaKey) return;
		const onButton =
			event.target instanceof HTMLElement && event.target.closest('button, a, summary');
		if (event.key === 'ArrowDown' || (event.key === ' ' && !onButton)) show(at + 1);
		else if (event.key === 'ArrowUp') show(at - 1);
		else if (event.key === 'ArrowLeft') turn(-1);
		else if (event.key === 'ArrowRight') turn(1);
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Counting guide · Horarium</title></svelte:head>
<svelte:window onkeydown={pressed} />

<main id="main" class="grid min-h-0 flex-1 gap-6 px-5 py-3 lg:grid-cols-[1fr_27rem]">
	{#if open}
		<section aria-label="The step on the page" class="min-w-0 self-start lg:sticky lg:top-3">
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
			<h1 class="text-2xl">Page {open.page}, dot by dot</h1>
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
			{#if steps.length === 0}
				<p class="text-ink-soft">Nothing is drawn on this page.</p>
			{:else}
				<p class="pb-2 text-ink-soft">
					Dots are counted from the first one, (0, 0), at the top left. (3, 5) is 3 right and 5
					down.
				</p>
			{/if}
			<ol bind:this={list} class="flex flex-col">
				{#each steps as step, index (index)}
					<li>
						<button
							class="flex w-full gap-3 border-l-4 px-2 py-1.5 text-left {index === at
								? 'border-calm bg-chosen'
								: 'border-transparent hover:bg-sheet'}"
							aria-current={index === at ? 'step' : undefined}
							onclick={() => show(index)}
						>
							<span class="w-6 shrink-0 text-right font-serif text-lg text-rubric">{index + 1}</span
							>
							<span>{unbroken(step.sentence)}</span>
						</button>
					</li>
				{/each}
			</ol>
		</section>
	{:else}
		<NotInRun {desk} />
	{/if}
</main>
