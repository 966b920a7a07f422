<script lang="ts">
	import { marginMm, type Notebook, type Side } from '$lib/core/paper';
	import type { Measured } from '$lib/worker/sight.worker';
	import type { NotebookKeeper } from '../keeping/notebook-keeper.svelte';
	import { lookAt, type Look } from '../sight';

	/** The notebook measured in a photograph of one of its pages: looked at first, then taken with one click. */
	let { keeper }: { keeper: NotebookKeeper } = $props();

	const notebook = $derived(keeper.notebook);
	let side = $state<Side>('right');
	let share = $state<number>();
	let found = $state.raw<{ page: Measured; address: string }>();
	let refused = $state<string>();
	let taken = $state(false);
	let look: Look | undefined;

	function stop() {
		look?.stop();
		look = undefined;
		share = undefined;
	}

	async function chosen(files: FileList | null) {
		const [picture] = files ?? [];
		if (!picture) return;
		stop();
		if (found) URL.revokeObjectURL(found.address);
		found = undefined;
		refused = undefined;
		taken = false;
		share = 0;
		const pageMm = { ...notebook.pageMm };
		look = lookAt({ kind: 'measure', picture, side, pageMm }, (done) => (share = done));
		const looked = await look.result;
		stop();
		if (looked.kind === 'refused') refused = looked.says;
		else if (looked.kind === 'measured')
			found = { page: looked.page, address: URL.createObjectURL(picture) };
	}
	$effect(() => stop);

	const round = (mm: number, places = 2) => Number(mm.toFixed(places));
	const known = (mm: number | undefined) => (mm === undefined ? 'not seen' : `${round(mm)} mm`);
	const rows = $derived.by(() => {
		if (!found) return [];
		const { page } = found;
		const margin = marginMm(notebook, page.side);
		return [
			['From dot to dot', `${round(page.pitchMm, 3)} mm`, `${round(notebook.pitchMm, 3)} mm`],
			['Squares across', String(page.columns), String(notebook.columns)],
			['Squares down', String(page.rows), String(notebook.rows)],
			['First dot from the left edge', known(page.firstDot.x), known(margin.x)],
			['First dot from the top edge', known(page.firstDot.y), known(margin.y)]
		];
	});

	/** The same fields that a ruler fills. */
	function take({ page }: { page: Measured }) {
		const { firstDot, lastDot } = page;
		const own = (dot: { x?: number; y?: number }) => ({
			...(dot.x === undefined ? {} : { x: round(dot.x) }),
			...(dot.y === undefined ? {} : { y: round(dot.y) })
		});
		const change: Partial<Notebook> = {
			pitchMm: round(page.pitchMm, 3),
			columns: page.columns,
			rows: page.rows,
			marginsMm: { ...notebook.marginsMm, [page.side]: own(firstDot) },
			farMarginsMm: { ...notebook.farMarginsMm, [page.side]: own(lastDot) }
		};
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
		Lay the open book on something plain that is darker than the paper. Photograph one empty page
		from straight above, with its outer, upper and lower edge in the picture. The picture stays on
		this machine. Tried out on simulated photographs only: check the result with a ruler.
	</p>
	<div class="flex flex-wrap items-end gap-3">
		<fieldset class="flex gap-4">
			<legend class="text-sm text-ink-soft">Which page</legend>
			{#each ['left', 'right'] as const as one (one)}
				<label class="flex min-h-9 items-center gap-1.5">
					<input type="radio" name="photographed" value={one} bind:group={side} />
					{one} page
				</label>
			{/each}
		</fieldset>
		<label class="flex flex-col gap-0.5">
			<span class="text-sm text-ink-soft">Photograph</span>
			<input type="file" accept="image/*" onchange={(event) => chosen(event.currentTarget.files)} />
		</label>
	</div>
	{#if share !== undefined}
		<p class="flex items-center gap-3" role="status">
			<progress max="1" value={share} aria-label="Measuring"></progress>
			Looking for dots …
			<button class="button" onclick={stop}>Cancel</button>
		</p>
	{/if}
	{#if refused}
		<p role="alert" class="max-w-prose border-l-4 border-caution bg-caution-ground px-3 py-2">
			{refused}
		</p>
	{/if}
	{#if found}
		{@const { page, address } = found}
		<div class="grid gap-6 lg:grid-cols-[1fr_26rem]">
			<div class="relative max-w-xl">
				<img class="block h-auto w-full" src={address} alt="The photograph that was measured" />
				<svg
					viewBox="0 0 {page.picture.width} {page.picture.height}"
					class="absolute inset-0 h-full w-full"
					role="img"
					aria-label="{page.dots.length} dots that were found"
				>
					<path
						d={page.dots.map(({ x, y }) => `M${x - 4} ${y}a4 4 0 1 0 8 0a4 4 0 1 0 -8 0`).join('')}
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
						{#each rows as [what, seen, now] (what)}
							<tr class="border-t border-hairline">
								<th class="py-1 font-normal" scope="row">{what}</th>
								<td class="text-rubric">{seen}</td>
								<td>{now}</td>
							</tr>
						{/each}
					</tbody>
				</table>
				<p class="text-sm text-ink-soft">
					Lengths to an edge may be off by {round(page.errorMm)} mm. Are the rings on the dots, and on
					all of them?
				</p>
				<p>
					<button class="button button-main" onclick={() => take({ page })}>Use these values</button
					>
				</p>
				{#if taken}<p role="status">The {page.side} page is measured.</p>{/if}
			</div>
		</div>
	{/if}
</section>
