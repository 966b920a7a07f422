<script lang="ts">
	interface Props {
		levels: readonly string[];
		days: ReadonlyMap<number, number>;
		last: number;
		label: string;
	}
	/** A day a field, coloured by its state, with the state's number so that it also tells apart in one ink. */
	let { levels, days, last, label }: Props = $props();
	const all = $derived(Array.from({ length: last }, (_, at) => at + 1));
</script>

<svg viewBox="0 0 {last * 4} 7" role="img" aria-label={label} class="h-auto w-full max-w-4xl">
	{#each all as day (day)}
		{@const level = days.get(day)}
		<rect
			x={(day - 1) * 4 + 0.1}
			y="0"
			width="3.8"
			height="4.4"
			style:fill={level === undefined ? 'transparent' : `var(--tint-level-${level})`}
			class="stroke-hairline"
			stroke-width="0.1"
		/>
		{#if level !== undefined}
			<text
				x={(day - 1) * 4 + 2}
				y="3.1"
				font-size="2.2"
				text-anchor="middle"
				class="fill-ink font-serif">{level}</text
			>
		{/if}
		<text
			x={(day - 1) * 4 + 2}
			y="6.6"
			font-size="1.6"
			text-anchor="middle"
			class="fill-ink-soft font-sans">{day}</text
		>
	{/each}
</svg>
<p class="text-sm text-ink-soft">
	{levels.map((name, at) => `${at + 1} ${name}`).join(', ')}
</p>
