<script lang="ts">
	import { sentence } from '../words';
	import { DropdownMenu } from 'bits-ui';
	import {
		cautions,
		cutKinds,
		cutOrder,
		cutsAgain,
		dotsCount,
		frontsOf,
		fromTheEnd,
		windowLast,
		type Cut,
		type CutKind
	} from '$lib/core/cuts';
	import { strayedCuts } from '$lib/core/fit';
	import { pageOf } from '$lib/core/paper';
	import Check from '../fields/Check.svelte';
	import { blockName, nameOf } from '../month/block-name';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { focusOn } from '../focus';
	import type { CutDraft } from './cut-draft.svelte';
	import { cutNames, cutTitle } from './cut-words';
	import CutFields from './CutFields.svelte';

	/** The cuts of a month: made, changed, reckoned, and how they are done with the blade. */
	let { desk, draft, front }: { desk: MonthDesk; draft: CutDraft; front: number } = $props();

	const { notebook } = $derived(desk.plan);
	const steps = $derived(cutOrder(notebook, desk.cuts));
	const has = (kind: CutKind) => desk.cuts.some((cut) => cut.kind === kind);
	const advice = $derived(draft.advice);
	/** What earlier months cut into their weeks, for the leaves of this month's. */
	const again = $derived.by(() => {
		const pages = desk.run.blocks.flatMap(({ as, pieces }) =>
			as.part ? pieces.map(({ page }) => page) : []
		);
		const set =
			pages.length > 0 ? { first: Math.min(...pages), last: Math.max(...pages) } : undefined;
		return cutsAgain(desk.plan.earlierCuts ?? [], desk.cuts, set);
	});
	let kindWanted: CutKind | undefined;

	/** The menu gives the focus back to its button; the new cut's measures take it. */
	function closed(event: Event) {
		const kind = kindWanted;
		if (kind === undefined) return;
		kindWanted = undefined;
		event.preventDefault();
		begun(() => draft.begin(kind, front));
	}

	function begun(begin: () => void) {
		begin();
		void focusOn('[data-draft] :is(input, button)');
	}

	/** Back to the cut in the list, or to where one is added. */
	function left(leave: () => void) {
		const id = draft.cut?.id;
		leave();
		void focusOn(`[data-cut="${id}"] button`, '[data-testid="add-cut"]');
	}

	function removed(id: string) {
		const index = desk.cuts.findIndex((cut) => cut.id === id);
		const next = desk.cuts[index + 1] ?? desk.cuts[index - 1];
		desk.removeCut(id);
		void focusOn(`[data-cut="${next?.id}"] button`, '[data-testid="add-cut"]');
	}

	/** What a cut is planned for, as long as it is one of the month's wishes. */
	function nameFor(cut: Cut): string | undefined {
		const wish = desk.wishes.find(({ id }) => id === cut.for?.wish);
		return wish && nameOf(wish);
	}

	const strayed = $derived(
		draft.cut || desk.planning
			? []
			: strayedCuts(desk.plan, desk.run).flatMap(({ cut, page }) => {
					const name = nameFor(cut);
					if (!name) return [];
					const now = page === undefined ? 'has no place' : `begins on page ${page}`;
					return [
						`${cutTitle(cut)}: it is planned for ${name}, which ${now} and began on page ${cut.for?.page}. It stays: a cut goes along by whole leaves, and not where its leaves are drawn on. Change its leaves, send ${name} back, or remove it.`
					];
				})
	);

	const pages = (count: number) => (count === 1 ? '1 page' : `${count} pages`);
</script>

<section aria-label="Cuts">
	<h2 class="pt-5 pb-2 text-xl">Cuts</h2>
	{#if draft.cut}
		{@const cut = draft.cut}
		<div data-draft class="flex flex-col gap-2 border-l-4 border-calm pl-3">
			<h3 class="font-serif text-lg">{cutNames[cut.kind].name}</h3>
			<p class="text-sm text-ink-soft">
				{sentence(cutNames[cut.kind].use)}. Pull its edge on the page, or type.
			</p>
			<CutFields {cut} page={pageOf(notebook, front)} onchange={(next) => draft.set(next)} />
			{#if draft.fault}
				<p class="text-caution" role="alert">{draft.fault}</p>
			{:else}
				<div role="status">
					<p>
						{#if draft.outcome}
							Run: {pages(draft.before.pagesUsed)}
							{draft.outcome.pagesUsed === draft.before.pagesUsed
								? 'as before'
								: 'now'}{#if draft.outcome.pagesUsed !== draft.before.pagesUsed},
								<strong class="text-rubric">{draft.outcome.pagesUsed}</strong> with the cut{/if}{#if draft.outcome.leftOut > draft.before.leftOut};
								<strong class="text-caution"
									>{draft.outcome.leftOut - draft.before.leftOut} more without a place</strong
								>{/if}.
						{:else}
							<span class="text-ink-soft">The run is being worked out …</span>
						{/if}
					</p>
				</div>
				{#if draft.leaving.length > 0}
					<Check
						label="Keep {draft.leaving.map(blockName).join(' and ')} here"
						checked={draft.keeps}
						onchange={(keeps) => (draft.keeps = keeps)}
					/>
				{/if}
				<details>
					<summary class="cursor-pointer">
						{draft.costs.reduce((sum, { lost }) => sum + lost, 0)} squares lost on {pages(
							frontsOf(cut).length * 2
						)}
					</summary>
					<ul class="pt-1 text-sm">
						{#each draft.costs as { page, lost, of, stays } (page)}
							<li>
								page {page}: {stays} stays, {lost} of {of} lost
							</li>
						{/each}
					</ul>
				</details>
			{/if}
			<p class="flex gap-2 pt-1">
				<button
					class="button button-main"
					disabled={draft.fault !== undefined}
					onclick={() => left(() => draft.accept())}
					>{draft.isNew ? 'Make this cut' : 'Change the cut'}</button
				>
				<button class="button" onclick={() => left(() => draft.leave())}>Cancel</button>
			</p>
		</div>
	{:else}
		<ul class="flex flex-col gap-1.5 pb-2">
			{#each desk.cuts as cut (cut.id)}
				<li data-cut={cut.id} class="flex flex-wrap items-baseline justify-between gap-x-2">
					<span>
						{cutTitle(cut)}
						{#if nameFor(cut)}
							<span class="text-sm text-ink-soft">for {nameFor(cut)}</span>
						{/if}
					</span>
					<span class="flex flex-wrap items-center gap-x-2">
						<Check
							label="Cut in the book"
							checked={cut.made ?? false}
							onchange={(made) => desk.setMade(cut.id, made)}
						/>
						<button class="button button-quiet min-h-7" onclick={() => begun(() => draft.set(cut))}
							>Change<span class="sr-only"> {cutTitle(cut)}</span></button
						>
						<button class="button button-quiet min-h-7" onclick={() => removed(cut.id)}
							>Remove<span class="sr-only"> {cutTitle(cut)}</span></button
						>
					</span>
				</li>
			{/each}
		</ul>
		{#each desk.plan.earlierCuts ?? [] as cut, index (index)}
			<p class="pb-2 text-ink-soft">{cutTitle(cut)}, cut by an earlier month</p>
		{/each}
		{#each again as cut (cut.kind)}
			<p class="pb-2">
				<button class="button" onclick={() => begun(() => draft.set(cut))}
					>Again for this month’s weeks: {cutTitle(cut)}</button
				>
			</p>
		{/each}
		<DropdownMenu.Root>
			<DropdownMenu.Trigger class="button" data-testid="add-cut">Add a cut ▾</DropdownMenu.Trigger>
			<DropdownMenu.Content
				onCloseAutoFocus={closed}
				strategy="fixed"
				align="start"
				collisionPadding={8}
				class="z-40 max-h-(--bits-floating-available-height) overflow-y-auto w-72 border border-ink-soft bg-field py-1 shadow-md"
			>
				{#each cutKinds as kind (kind)}
					<DropdownMenu.Item
						class="cursor-pointer px-3 py-1 data-highlighted:bg-chosen"
						onSelect={() => (kindWanted = kind)}
					>
						<span class="font-serif text-lg">{cutNames[kind].name}</span>
						<span class="block text-sm text-ink-soft">{cutNames[kind].use}</span>
					</DropdownMenu.Item>
				{/each}
			</DropdownMenu.Content>
		</DropdownMenu.Root>
	{/if}
	{#each strayed as text (text)}
		<p class="border-l-4 border-caution px-2 pt-1 text-sm" role="status">{text}</p>
	{/each}
	{#if advice.length > 0}
		<ul class="flex flex-col gap-1 pt-3 text-sm" aria-label="Notes on the cuts">
			{#each advice as { kind, text }, index (index)}
				<li
					class="border-l-4 px-2 {kind === 'hidden' || kind === 'shows'
						? 'border-hairline'
						: 'border-caution'}"
				>
					{text}
				</li>
			{/each}
		</ul>
	{/if}
	{#if steps.length > 0 && !draft.cut}
		<details class="pt-3">
			<summary class="cursor-pointer font-serif text-lg">How to cut, in order</summary>
			<ul class="list-disc py-2 pl-5 text-sm">
				{#each cautions as caution (caution)}<li>{caution}</li>{/each}
				<li>{dotsCount}</li>
				{#if has('waterfall')}<li>{fromTheEnd}</li>{/if}
				{#if has('window')}<li>{windowLast}</li>{/if}
			</ul>
			<ol class="flex list-decimal flex-col gap-1.5 pl-5">
				{#each steps as { cut, front: leaf, text, back } (`${cut} ${leaf}`)}
					<li>{text} <span class="text-sm text-ink-soft">{back}</span></li>
				{/each}
			</ol>
		</details>
	{/if}
</section>
