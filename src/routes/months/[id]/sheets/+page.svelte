<script lang="ts">
	import { monthWords, sentence } from '$lib/ui/words';
	import { onMount, untrack } from 'svelte';
	import { formatMonth } from '$lib/core/month';
	import { usualSheet } from '$lib/core/render';
	import type { Drawn } from '$lib/core/render/pages/page-art';
	import { listedPages, pageList } from '$lib/core/render/pages/page-list';
	import { placesOn } from '$lib/core/render/pages/sheet-places';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import MissingLetters from '$lib/ui/page/MissingLetters.svelte';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import ArchiveButton from '$lib/ui/sheets/ArchiveButton.svelte';
	import {
		allFiles,
		pageFile,
		pageName,
		pdfFile,
		stripsFile,
		type SheetChoice,
		type SheetFile
	} from '$lib/ui/sheets/sheet-files';
	import Printer from '$lib/ui/fields/Printer.svelte';
	import TextField from '$lib/ui/fields/TextField.svelte';

	let { data } = $props();
	const current = getMonthDesk();
	const desk = $derived(current());

	let drawn = $state<Drawn>('everything');
	let typed = $state('');
	/** What was typed last and is a list of pages. */
	let wanted = $state('');
	let printer = $state(untrack(() => data.printers[0]?.id ?? ''));
	let dpi = $state(300);
	let paper = $state(untrack(() => usualSheet(desk.plan.locale)));

	const month = $derived(formatMonth(desk.plan.month));
	const { width, height } = $derived(desk.plan.notebook.pageMm);
	const read = $derived(listedPages(typed, desk.run.pages));
	const listed = $derived(listedPages(wanted, desk.run.pages));
	const numbers = $derived((listed.ok ? listed.pages : []).map(({ number }) => number));
	const single = $derived(numbers.length === 1 ? numbers[0] : undefined);
	const twoUpFits = $derived(placesOn(paper, desk.plan.notebook.pageMm) !== undefined);
	const choice = $derived<SheetChoice>({
		monthId: desk.id,
		month,
		drawn,
		pages: numbers.length === desk.run.pages.length ? '' : pageList(numbers),
		printer,
		dpi,
		paper
	});
	const examplePages = $derived(pageList(desk.run.pages.slice(0, 4).map(({ number }) => number)));
	/** What is on the screen is what is printed, so it must be the newest. */
	const revision = $derived(desk.saver.baseRevision);

	onMount(() => {
		const sheet = new CSSStyleSheet();
		document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
		const stop = $effect.root(() => {
			$effect(() => sheet.replaceSync(`@page { size: ${width}mm ${height}mm; margin: 0 }`));
		});
		return () => {
			stop();
			document.adoptedStyleSheets = document.adoptedStyleSheets.filter((other) => other !== sheet);
		};
	});
</script>

{#snippet file({ address }: SheetFile, name: string)}
	<a class="button" href={address} target="_blank" rel="noopener" data-sveltekit-reload>{name}</a>
{/snippet}

<svelte:head><title>Sheets · {monthWords(desk.plan.month)} · Horarium</title></svelte:head>

<main id="main" class="grid flex-1 md:grid-cols-[minmax(17rem,24rem)_1fr] print:block">
	<section
		aria-label="What is printed"
		class="flex flex-col gap-4 border-r border-hairline bg-sheet px-5 py-4 print:hidden"
	>
		<h1 class="text-3xl">Sheets</h1>
		<p class="text-ink-soft">
			{monthWords(desk.plan.month)}, at true size: print at 100 %, not “fit to page”.
		</p>
		<Choice
			label="What"
			value={drawn}
			rows
			options={[
				{ value: 'everything', label: 'The whole page' },
				{ value: 'lines', label: 'Only its lines, to trace' },
				{ value: 'stencil', label: 'A stencil: slots to cut out of card' }
			]}
			onchange={(value) => (drawn = value)}
		/>
		<TextField
			label="Pages, such as {examplePages}"
			value={typed}
			placeholder="all {desk.run.pages.length} of the run"
			fault={read.ok ? undefined : `${sentence(read.message)}.`}
			onchange={(pages) => {
				typed = pages;
				if (read.ok) wanted = pages;
			}}
		/>
		<Printer value={printer} printers={data.printers} onchange={(id) => (printer = id)} />
		<div class="flex flex-wrap gap-3">
			<Choice
				label="Paper for two pages, and for strips"
				value={paper}
				options={[
					{ value: 'a4', label: 'A4' },
					{ value: 'letter', label: 'US Letter' }
				]}
				onchange={(value) => (paper = value)}
			/>
			<NumberField
				label="Pictures"
				value={dpi}
				least={50}
				most={1200}
				unit="dots per inch"
				onchange={(value) => (dpi = value ?? dpi)}
			/>
		</div>
		<MissingLetters plan={desk.plan} run={desk.run} />
		{#if numbers.length > 0}
			<h2 class="pt-2 text-xl">Print or save</h2>
			<div class="flex flex-wrap gap-2">
				{@render file(pdfFile(choice, 'single'), 'PDF, page by page')}
				{#if twoUpFits}{@render file(
						pdfFile(choice, 'spreads'),
						'PDF, two on a sheet with crop marks'
					)}{@render file(pdfFile(choice, 'leaves'), 'PDF, leaves to glue in')}{/if}
				{@render file(stripsFile(choice), 'Tick strips (PDF)')}
				{#if single !== undefined}
					{@render file(pageFile(choice, single, 'svg'), 'SVG in mm')}
					{@render file(pageFile(choice, single, 'png'), 'Picture (PNG)')}
				{/if}
				<button class="button" onclick={() => window.print()}>Print from the browser</button>
			</div>
			<p>
				<a class="underline" href="/months/{desk.id}/labels">Labels to stick in</a>: dates,
				weekdays, names and titles, for scissors or a label printer.
			</p>
			<ArchiveButton
				files={allFiles(choice, numbers, twoUpFits)}
				name="horarium-{[month, pageName(choice.pages)].filter(Boolean).join('-')}.zip"
			/>
			{#if twoUpFits}
				<p class="text-sm text-ink-soft">
					Leaves to glue in are printed on both sides: let the printer turn the sheet over its short
					edge.
				</p>
			{:else}
				<p class="text-sm text-ink-soft">
					Two pages of {width} × {height} mm are too large for this paper: print them one by one.
				</p>
			{/if}
		{/if}
		<h2 class="pt-2 text-xl">The month as a file</h2>
		<p class="flex flex-wrap gap-2">
			<a class="button" href="/app/months/{desk.id}/plan.json" download data-sveltekit-reload
				>Save this month as a file</a
			>
			<a class="button" href="/app/months/{desk.id}/plan.ics" download data-sveltekit-reload
				>Its days as a calendar file</a
			>
		</p>
		<p class="text-sm text-ink-soft">
			The calendar file (.ics) holds what happens on its days, its goals, weeks and sittings, and
			what comes every year.
		</p>
	</section>
	<section aria-label="The sheets" class="px-5 py-5 md:overflow-auto print:p-0">
		{#if desk.run.pages.length === 0}
			<p class="max-w-lg py-10 text-lg">No page is planned yet, so there is nothing to print.</p>
		{/if}
		<ol class="flex flex-wrap gap-5 print:block">
			{#each numbers as number (number)}
				<li class="true-page" style="--page-width: {width}mm; --page-height: {height}mm">
					<img
						class="block h-auto w-full bg-print shadow-[0.1rem_0.15rem_0_var(--shadow)] print:shadow-none"
						src="{pageFile(choice, number, 'svg').address}&revision={revision}"
						alt="Page {number}, as it is printed"
					/>
					<span class="text-sm text-ink-soft print:hidden">{number}</span>
				</li>
			{/each}
		</ol>
	</section>
</main>
