<script lang="ts">
	import type { EChartsOption, EChartsType } from 'echarts';
	import { onMount } from 'svelte';
	import { mode } from './colour-mode.svelte';
	import { loadCharts } from './echarts';
	import type { ChartColours } from './chart-options';

	/** One thing that a chart shows, as it is told to who walks through it by keyboard. */
	interface Point {
		readonly series: number;
		readonly at: number;
		readonly words: string;
	}
	interface Props {
		/** What the chart shows, as a sentence. */
		label: string;
		name: string;
		height?: number;
		option: (colours: ChartColours) => EChartsOption;
		/** All that it shows, in the order of the arrow keys. */
		points: readonly Point[];
	}
	/** A chart in the application's look, which can be saved as a picture. */
	let { label, name, height = 240, option, points }: Props = $props();

	let frame = $state<HTMLDivElement>();
	/** Tells what a colour of the screen is now. */
	let probe = $state<HTMLSpanElement>();
	let chart = $state.raw<EChartsType>();
	let failed = $state(false);

	/** The point that the arrow keys have reached. */
	let reached = $state<number>();
	const point = $derived(reached === undefined ? undefined : points[reached]);

	function walk(event: KeyboardEvent) {
		const last = points.length - 1;
		const from = reached ?? -1;
		const steps: Record<string, number> = {
			ArrowRight: Math.min(last, from + 1),
			ArrowLeft: Math.max(0, from - 1),
			Home: 0,
			End: last
		};
		const to = event.key === 'Escape' ? -1 : steps[event.key];
		if (to === undefined || last < 0) return;
		event.preventDefault();
		reached = to < 0 ? undefined : to;
		chart?.dispatchAction({ type: 'downplay' });
		const next = points[to];
		if (next)
			chart?.dispatchAction({ type: 'highlight', seriesIndex: next.series, dataIndex: next.at });
	}

	function colours(): ChartColours {
		const of = (variable: string) => {
			if (!probe) return 'black';
			probe.style.color = `var(${variable})`;
			return getComputedStyle(probe).color;
		};
		return {
			ink: of('--ink'),
			soft: of('--ink-soft'),
			hairline: of('--hairline'),
			paper: of('--paper'),
			accent: of('--calm'),
			rubric: of('--rubric'),
			levels: [1, 2, 3, 4, 5, 6].map((level) => of(`--tint-level-${level}`))
		};
	}

	onMount(() => {
		let gone = false;
		const resized = new ResizeObserver(() => chart?.resize());
		loadCharts().then(
			(echarts) => {
				if (gone || !frame) return;
				chart = echarts.init(frame, undefined, { renderer: 'svg' });
				resized.observe(frame);
			},
			() => (failed = true)
		);
		return () => {
			gone = true;
			resized.disconnect();
			chart?.dispose();
		};
	});
	$effect(() => {
		// Colours follow the screen's.
		void mode.dark;
		chart?.setOption(option(colours()), true);
	});

	async function save(type: 'png' | 'svg') {
		if (!chart) return;
		const address =
			type === 'svg'
				? chart.getDataURL({ type: 'svg' })
				: await rasterized(chart.getDataURL({ type: 'svg' }), chart.getWidth(), chart.getHeight());
		const link = document.createElement('a');
		link.href = address;
		link.download = `${name}.${type}`;
		link.click();
	}

	/** An SVG picture as PNG, at twice its size. */
	async function rasterized(source: string, w: number, h: number): Promise<string> {
		const image = new Image(w, h);
		image.src = source;
		await image.decode();
		const canvas = document.createElement('canvas');
		[canvas.width, canvas.height] = [2 * w, 2 * h];
		const context = canvas.getContext('2d');
		context?.scale(2, 2);
		context?.drawImage(image, 0, 0, w, h);
		return canvas.toDataURL('image/png');
	}
</script>

<span bind:this={probe} hidden></span>
<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
<div
	role="group"
	aria-roledescription="chart"
	aria-label="{label} Arrow keys go through it."
	tabindex="0"
	style:height="{height}px"
	class="w-full overflow-hidden"
	onkeydown={walk}
>
	<div bind:this={frame} aria-hidden="true" class="h-full w-full"></div>
</div>
<p class="flex min-h-6 gap-3 text-sm print:hidden">
	{#each ['png', 'svg'] as const as type (type)}
		<button
			class="underline decoration-hairline underline-offset-4 enabled:hover:decoration-ink disabled:opacity-50"
			aria-label="Save {name} as {type.toUpperCase()}"
			disabled={!chart}
			onclick={() => save(type)}>{type.toUpperCase()}</button
		>
	{/each}
	<span aria-live="polite"
		>{failed
			? 'The chart could not be fetched; the table tells the same. Reload to try again.'
			: (point?.words ?? '')}</span
	>
</p>
