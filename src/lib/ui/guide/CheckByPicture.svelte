<script lang="ts">
	import { strokesFrom, type PageGuide } from '$lib/core/guide';
	import type { CheckedPicture } from '$lib/worker/sight.worker';
	import { mayStay } from '$lib/core/fit';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { BlockMove } from '../page/block-move.svelte';
	import { OneLook } from '../one-look.svelte';

	interface Props {
		desk: MonthDesk;
		guide: PageGuide;
		/** Steps whose lines are all drawn. */
		onright: (steps: readonly number[]) => void;
	}
	/** A drawn page held against its plan in a photograph: what is missing, off or too much, and what is right. */
	let { desk, guide, onright }: Props = $props();

	const look = new OneLook();
	$effect(() => () => look.close());
	const seen = $derived(
		look.seen?.looked.kind === 'checked'
			? { checked: look.seen.looked.checked, address: look.seen.address }
			: undefined
	);

	async function chosen(input: HTMLInputElement) {
		const [picture] = input.files ?? [];
		// The same picture may be chosen again.
		input.value = '';
		if (!picture) return;
		left = undefined;
		const { plan, run } = $state.snapshot({ plan: desk.plan, run: desk.run });
		const steps = guide.steps.map((step) =>
			step.kind === 'rule' ? strokesFrom(step).map(({ begin, end }) => ordered(begin, end)) : []
		);
		const { page } = guide;
		const looked = await look.begin({ kind: 'check', picture, plan, run, page, steps });
		if (looked?.kind === 'checked') onright(looked.checked.right);
	}

	type Dot = { readonly x: number; readonly y: number };
	/** A line from its upper or left end. */
	const ordered = (a: Dot, b: Dot) =>
		a.x + a.y <= b.x + b.y ? { from: a, to: b } : { from: b, to: a };

	let left = $state<string>();
	/** What was drawn elsewhere stays there, if nothing that must stay is in its way. */
	function leave({ wish, by }: NonNullable<CheckedPicture['found'][number]['stands']>) {
		const move = new BlockMove(desk);
		const block = desk.run.blocks.find((other) => other.wish === wish);
		const piece = block?.pieces.find(({ page }) => page === guide.page);
		if (!block || !piece || !move.can(block)) {
			left = 'It cannot be held there: set its place on the page itself.';
			return;
		}
		move.take(block);
		move.put(guide.page, { ...piece.rect, x: piece.rect.x + by.x, y: piece.rect.y + by.y });
		if (move.result && mayStay(move.result)) {
			move.drop(`stands ${wish}`);
			left = 'It is held where it was drawn, and the rest is planned around it.';
			look.close();
		} else {
			move.giveUp();
			left = 'It cannot be held there: something else must stay where it is.';
		}
	}

	const ruling = $derived(guide.steps.filter(({ kind }) => kind === 'rule').length);
	const states = {
		right: 'right',
		off: 'not all right',
		'not begun': 'not begun',
		'no lines': 'no lines to check'
	} as const;
</script>

<section aria-label="Check by photograph" class="pt-5">
	<h2 class="pb-1 text-xl">Check it by photograph</h2>
	<p class="max-w-prose text-ink-soft">
		Photograph the page from straight above, in pencil or in ink. Its lines are held against the
		plan, and what is right is ticked off. The picture stays on this machine.
	</p>
	<p class="pt-2">
		<label class="button relative inline-flex cursor-pointer items-center">
			<input
				class="absolute inset-0 cursor-pointer opacity-0"
				type="file"
				accept="image/*"
				onchange={(event) => chosen(event.currentTarget)}
			/>
			Choose a photograph of page {guide.page}
		</label>
	</p>
	{#if look.share !== undefined}
		<p class="flex items-center gap-3 pt-2" role="status">
			<progress max="1" value={look.share} aria-label="Checking"></progress>
			Looking for its lines …
			<button class="button" onclick={() => look.stop()}>Cancel</button>
		</p>
	{/if}
	{#if look.refused}
		<p role="alert" class="mt-2 border-l-4 border-caution bg-caution-ground px-3 py-2">
			{look.refused}
		</p>
	{/if}
	{#if left}<p role="status" class="pt-2">{left}</p>{/if}
	{#if seen}
		{@const { checked, address } = seen}
		{@const { view, picture } = checked}
		<div role="status" class="pt-3">
			<p class="font-serif text-lg">
				{checked.found.length === 0
					? 'Everything that is drawn is right.'
					: checked.found.length === 1
						? 'One thing is not as planned.'
						: `${checked.found.length} things are not as planned.`}
			</p>
			<p class="text-ink-soft">
				{checked.right.length} of {ruling} steps that rule lines are drawn, and ticked.
				{checked.isPartlyHidden ? 'Lines beside filled squares cannot be judged.' : ''}
				{checked.parts.map(({ name, state }) => `${name}: ${states[state]}`).join('; ')}.
			</p>
			{#if checked.found.length > 0}
				<ol class="list-decimal py-2 pl-6">
					{#each checked.found as { words, stands }, index (index)}
						<li>
							{words}
							{#if stands}
								<button class="button ml-1" onclick={() => leave(stands)}
									>It stays there: plan the rest around it</button
								>
							{/if}
						</li>
					{/each}
				</ol>
			{/if}
		</div>
		<svg
			viewBox="{view.x} {view.y} {view.w} {view.h}"
			class="mt-2 block h-auto w-full max-w-xl"
			role="img"
			aria-label="Photograph of page {guide.page} with what is not as planned"
		>
			<image
				href={address}
				width={picture.width}
				height={picture.height}
				preserveAspectRatio="none"
			/>
			{#each checked.found as { kind, lines }, index (index)}
				<path
					d={lines.map(({ from, to }) => `M${from.x} ${from.y}L${to.x} ${to.y}`).join('')}
					class="fill-none stroke-rubric"
					stroke-width={picture.width / 150}
					stroke-dasharray={kind === 'extra'
						? undefined
						: `${picture.width / 60} ${picture.width / 90}`}
				/>
				{#if lines[0]}
					<text
						x={lines[0].from.x}
						y={lines[0].from.y - picture.width / 100}
						font-size={picture.width / 30}
						class="fill-rubric stroke-print font-sans font-bold"
						stroke-width={picture.width / 200}
						paint-order="stroke">{index + 1}</text
					>
				{/if}
			{/each}
		</svg>
		{#if checked.found.some(({ kind }) => kind !== 'extra')}
			<p class="pt-1 text-sm text-ink-soft">
				Dashed: where a line should be. Whole: a line too many.
			</p>
		{/if}
	{/if}
</section>
