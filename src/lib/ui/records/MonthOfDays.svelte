<script lang="ts">
	import { monthTitle, weekdayNames, type MonthShape } from '$lib/core/month';

	interface Props {
		shape: MonthShape;
		day: number;
		/** Days of which something is kept. */
		filled: ReadonlySet<number>;
		onday: (day: number) => void;
	}
	/** The month as a calendar: which days are filled in, and the way to each. */
	let { shape, day, filled, onday }: Props = $props();

	const days = $derived(Array.from({ length: shape.days }, (_, at) => at + 1));
</script>

<nav aria-label="Days of the month" class="self-start lg:pt-3">
	<h2 class="pb-1 text-lg">{monthTitle('en', shape)}</h2>
	<div class="grid max-w-72 grid-cols-7 gap-0.5 text-center">
		{#each weekdayNames('en', shape.weekStart, 'narrow') as name, at (at)}
			<span class="text-sm text-ink-soft" aria-hidden="true">{name}</span>
		{/each}
		{#each days as number (number)}
			<button
				class="min-h-8 {number === day
					? 'bg-ink text-field'
					: filled.has(number)
						? 'bg-chosen hover:bg-sheet'
						: 'hover:bg-sheet'}"
				style:grid-column={number === 1 ? shape.lead + 1 : undefined}
				aria-current={number === day ? 'date' : undefined}
				aria-label="{number}{filled.has(number) ? ', filled in' : ''}"
				onclick={() => onday(number)}>{number}</button
			>
		{/each}
	</div>
</nav>
