<script lang="ts">
	import { flushSync, untrack, type Snippet } from 'svelte';
	import { openingAt } from '$lib/core/cuts';
	import { cutsOf, type Plan, type Run } from '$lib/core/fit';
	import { marginMm, pageOf, type Side, type Spread } from '$lib/core/paper';
	import DotPattern from './DotPattern.svelte';
	import LeafPicture from './LeafPicture.svelte';
	import { near } from './near';

	interface Props {
		plan: Plan;
		run: Run;
		spread: Spread;
		/** Counts along the edges, as on a ruler. */
		ruler?: boolean;
		/** Page numbers in the lower corners; a picture of any spread has none. */
		numbered?: boolean;
		/** Drawn on top of a page, in its squares. */
		overlay?: Snippet<[page: number]>;
		/** The overlay holds things to take hold of; otherwise all is one picture. */
		live?: boolean;
		/** Its marks are drawn only while it is near the window; before it was, the paper is empty. */
		waits?: boolean;
		label: string;
	}
	let {
		plan,
		run,
		spread,
		ruler = false,
		numbered = true,
		overlay,
		live = false,
		waits = false,
		label
	}: Props = $props();
	const id = $props.id();

	let away = $state(untrack(() => waits));
	const watch = near((now) => (away = !now));

	const pitch = $derived(plan.notebook.pitchMm);
	const width = $derived(plan.notebook.pageMm.width / pitch);
	const height = $derived(plan.notebook.pageMm.height / pitch);
	/** Room outside the paper, in squares, so that its edge and its counts are not cut off. */
	const around = $derived(ruler ? 1.6 : 0.3);
	const below = $derived(numbered ? (ruler ? 2.7 : 2.2) : around);
	const whole = $derived({ w: 2 * (width + around), h: height + around + below });
	const numbers = $derived(new Set(run.pages.map((page) => page.number)));
	const opening = $derived(openingAt(plan.notebook, cutsOf(plan), spread.left));
	const sides = $derived(
		(['left', 'right'] as const).map((side: Side) => {
			const number = spread[side];
			const margin = marginMm(plan.notebook, side);
			const page = pageOf(plan.notebook, number);
			return {
				side,
				number,
				page,
				exists: number > 0,
				// What lies deepest is drawn first.
				stack: opening[side].toReversed().filter(({ page }) => page > 0),
				left: side === 'left' ? 0 : width,
				x: (side === 'left' ? 0 : width) + margin.x / pitch,
				y: margin.y / pitch
			};
		})
	);

	/** Counts every fifth line, and the last, so that one always counts on from a near number. */
	function counts(length: number): number[] {
		const all = Array.from({ length: Math.floor(length / 5) + 1 }, (_, index) => index * 5);
		if (all.at(-1) === length) return all;
		// A count too near the last one would touch it.
		return [...all.filter((count) => length - count > 1), length];
	}
</script>

<svelte:window
	onbeforeprint={() => {
		away = false;
		flushSync();
	}}
/>

<!-- A picture that is scrolled away is not laid out: a month has thousands of strokes. Its frame keeps its shape. -->
<div
	class={live ? 'contents' : '[content-visibility:auto]'}
	style:aspect-ratio="{whole.w} / {whole.h}"
	{@attach waits && watch}
>
	<svg
		viewBox="{-around} {-around} {whole.w} {whole.h}"
		class="block h-auto w-full"
		role={live ? 'group' : 'img'}
		aria-label={label}
	>
		<defs>
			<DotPattern id="{id}-dots" />
		</defs>
		{#each sides as { side, number, page, exists, stack, left, x, y } (side)}
			{#if exists}
				{#each stack as { page: seen, removed } (seen)}
					<LeafPicture
						{plan}
						{run}
						page={seen}
						{left}
						{removed}
						planned={numbers.has(seen)}
						still={waits && away}
						pale={numbered && !numbers.has(seen)}
						beneath={seen !== number}
						dots="{id}-dots"
					/>
				{/each}
				<g transform="translate({x} {y})">
					{#if ruler}
						{#each counts(page.columns) as count (count)}
							{#each [{ at: -y, out: -1 }, { at: height - y, out: 1 }] as { at, out } (out)}
								<text
									x={count}
									y={at + (out < 0 ? -0.5 : 1.15)}
									font-size="0.95"
									text-anchor="middle"
									class="fill-rubric font-sans">{count}</text
								>
								<line
									x1={count}
									x2={count}
									y1={at}
									y2={at - out * 0.35}
									class="stroke-rubric"
									stroke-width="0.06"
								/>
							{/each}
						{/each}
						{#each counts(page.rows) as count (count)}
							<text
								x={side === 'left' ? -x - 0.35 : width - (x - width) + 0.35}
								y={count + 0.3}
								font-size="0.95"
								text-anchor={side === 'left' ? 'end' : 'start'}
								class="fill-rubric font-sans">{count}</text
							>
						{/each}
					{/if}
				</g>
				{#if numbered}
					<text
						x={side === 'left' ? left + 0.2 : left + width - 0.2}
						y={height + (ruler ? 2.4 : 1.7)}
						font-size={ruler ? 1 : 1.7}
						text-anchor={side === 'left' ? 'start' : 'end'}
						class="fill-ink-soft font-sans">{number}</text
					>
				{/if}
			{/if}
		{/each}
		<line x1={width} x2={width} y1="0" y2={height} class="stroke-paper-edge" stroke-width="0.14" />
		<!-- Above both pages: what is held on one may reach over the other. -->
		{#each sides as { side, number, exists, x, y } (side)}
			{#if exists}<g transform="translate({x} {y})">{@render overlay?.(number)}</g>{/if}
		{/each}
	</svg>
</div>
