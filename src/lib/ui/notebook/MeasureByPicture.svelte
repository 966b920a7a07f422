<script lang="ts">
	import { geometryOf, marginMm, type Notebook, type Side } from '$lib/core/paper';
	import type { NotebookKeeper } from '../keeping/notebook-keeper.svelte';
	import { OneLook } from '../one-look.svelte';

	/** The notebook measured in a photograph of one of its pages: looked at first, then taken with one click. */
	let { keeper }: { keeper: NotebookKeeper } = $props();

	const notebook = $derived(keeper.notebook);
	let side = $state<Side | 'both'>('both');
	let taken = $state(false);
	const look = new OneLook();
	$effect(() => () => look.close());
	const found = $derived(
		look.seen?.looked.kind === 'measured'
			? { measured: look.seen.looked.measured, address: look.seen.address }
			: undefined
	);

	async function chosen(files: FileList | null) {
		const [picture] = files ?? [];
		if (!picture) return;
		taken = false;
		const pageMm = { ...notebook.pageMm };
		await look.begin({ kind: 'measure', picture, side, pageMm });
	}

	const round = (mm: number, places = 2) => Number(mm.toFixed(places));
	const known = (mm: number | undefined) => (mm === undefined ? 'not seen' : `${round(mm)} mm`);
	const pages = $derived(found?.measured.pages ?? []);
	const dots = $derived(pages.flatMap((page) => page.dots));
	/** Both pages of a spread have as many squares, or something was miscounted. */
	const agree = $derived(
		pages.every(({ columns, rows }) => columns === pages[0]?.columns && rows === pages[0]?.rows)
	);
	const pitchMm = $derived(
		pages.reduce((sum, page) => sum + page.pitchMm, 0) / Math.max(1, pages.length)
	);
	const errorMm = $derived(Math.max(0, ...pages.map((page) => page.errorMm)));
	const counts = (of: (page: (typeof pages)[number]) => number) => pages.map(of).join(' and ');
	const rows = $derived([
		['From dot to dot', `${round(pitchMm, 3)} mm`, `${round(notebook.pitchMm, 3)} mm`],
		[
			'Squares across',
			agree ? `${pages[0]?.columns}` : counts(({ columns }) => columns),
			String(notebook.columns)
		],
		[
			'Squares down',
			agree ? `${pages[0]?.rows}` : counts(({ rows }) => rows),
			String(notebook.rows)
		],
		...pages.flatMap((page) => {
			const margin = marginMm(notebook, page.side);
			const of = pages.length > 1 ? `, ${page.side} page` : '';
			return [
				[`First dot from the left edge${of}`, known(page.firstDot.x), known(margin.x)],
				[`First dot from the top edge${of}`, known(page.firstDot.y), known(margin.y)]
			];
		})
	]);

	/** The fields that a ruler fills, as the photograph has them. */
	const change = $derived.by((): Partial<Notebook> => {
		const [first] = pages;
		if (!first) return {};
		const own = (dot: { x?: number; y?: number }) => ({
			...(dot.x === undefined ? {} : { x: round(dot.x) }),
			...(dot.y === undefined ? {} : { y: round(dot.y) })
		});
		const sides = (of: (page: (typeof pages)[number]) => { x?: number; y?: number }) =>
			Object.fromEntries(pages.map((page) => [page.side, own(of(page))]));
		return {
			pitchMm: round(pitchMm, 3),
			columns: first.columns,
			rows: first.rows,
			marginsMm: { ...notebook.marginsMm, ...sides(({ firstDot }) => firstDot) },
			farMarginsMm: { ...notebook.farMarginsMm, ...sides(({ lastDot }) => lastDot) }
		};
	});

	/** How the dots of a leaf's front and back lie to each other. */
	const registerOf = (book: Notebook) => {
		const { x, y } = geometryOf(book).registerMm;
		return `${round(x)} mm across, ${round(y)} mm down`;
	};
	const isWhole = $derived(
		['left', 'right'].every((side) =>
			pages.some(
				(page) =>
					page.side === side && page.firstDot.x !== undefined && page.firstDot.y !== undefined
			)
		)
	);
	const register = $derived(
		isWhole
			? [
					[
						'Front of a leaf against its back',
						registerOf({ ...notebook, ...change }),
						registerOf(notebook)
					]
				]
			: []
	);

	function take() {
		keeper.change(change);
		taken = true;
	}
</script>

<section
	aria-label="Measure by photograph"
	class="flex flex-col gap-3 border-t border-hairline pt-4"
>
	<h2 class="text-2xl">Or measure by photograph</h2>
	<p class="max-w-prose">
		Lay the open book on something plain that is darker than the paper. Photograph or scan the two
		empty pages, or one of them, from straight above, with their outer, upper and lower edges in the
		picture; a scan may also end with the paper. The picture stays on this machine. Tried out on
		simulated photographs only: check the result with a ruler.
	</p>
	<div class="flex flex-wrap items-end gap-3">
		<fieldset class="flex gap-4">
			<legend class="text-sm text-ink-soft">What is in the picture</legend>
			{#each [['both', 'both pages'], ['left', 'left page'], ['right', 'right page']] as const as [one, label] (one)}
				<label class="flex min-h-9 items-center gap-1.5">
					<input type="radio" name="photographed" value={one} bind:group={side} />
					{label}
				</label>
			{/each}
		</fieldset>
		<label class="flex flex-col gap-0.5">
			<span class="text-sm text-ink-soft">Photograph</span>
			<input type="file" accept="image/*" onchange={(event) => chosen(event.currentTarget.files)} />
		</label>
	</div>
	{#if look.share !== undefined}
		<p class="flex items-center gap-3" role="status">
			<progress max="1" value={look.share} aria-label="Measuring"></progress>
			Looking for dots …
			<button class="button" onclick={() => look.stop()}>Cancel</button>
		</p>
	{/if}
	{#if look.refused}
		<p role="alert" class="max-w-prose border-l-4 border-caution bg-caution-ground px-3 py-2">
			{look.refused}
		</p>
	{/if}
	{#if found}
		{@const { measured, address } = found}
		<div class="grid gap-6 lg:grid-cols-[1fr_26rem]">
			<div class="relative max-w-xl">
				<img class="block h-auto w-full" src={address} alt="The photograph that was measured" />
				<svg
					viewBox="0 0 {measured.picture.width} {measured.picture.height}"
					class="absolute inset-0 h-full w-full"
					role="img"
					aria-label="{dots.length} dots that were found"
				>
					<path
						d={dots.map(({ x, y }) => `M${x - 4} ${y}a4 4 0 1 0 8 0a4 4 0 1 0 -8 0`).join('')}
						class="fill-none stroke-rubric"
						stroke-width="1.4"
					/>
				</svg>
			</div>
			<div class="flex flex-col gap-3">
				<table class="w-full text-left">
					<thead class="text-sm text-ink-soft">
						<tr>
							<th class="font-normal" scope="col"><span class="sr-only">What</span></th>
							<th class="font-normal" scope="col">Photograph</th>
							<th class="font-normal" scope="col">Now</th>
						</tr>
					</thead>
					<tbody>
						{#each [...rows, ...register] as [what, seen, now] (what)}
							<tr class="border-t border-hairline">
								<th class="py-1 font-normal" scope="row">{what}</th>
								<td class="text-rubric">{seen}</td>
								<td>{now}</td>
							</tr>
						{/each}
					</tbody>
				</table>
				<p class="text-sm text-ink-soft">
					Lengths to an edge may be off by {round(errorMm)} mm. Are the rings on the dots, and on all
					of them?
				</p>
				{#if !agree}
					<p role="alert" class="border-l-4 border-caution bg-caution-ground px-3 py-2">
						The two pages do not have as many squares as each other: something was miscounted. Take
						another picture.
					</p>
				{/if}
				<p>
					<button class="button button-main" disabled={!agree} onclick={take}
						>Use these values</button
					>
				</p>
				{#if taken}
					<p role="status">
						{pages.length > 1 ? 'Both pages are' : `The ${pages[0]?.side} page is`} measured.
					</p>
				{/if}
			</div>
		</div>
	{/if}
</section>
