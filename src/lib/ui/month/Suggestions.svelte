<script lang="ts">
	import { RadioGroup } from 'bits-ui';
	import type { Aim, Summary } from '$lib/core/fit';
	import type { Size } from '$lib/core/paper';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk }: { desk: MonthDesk } = $props();

	const aims: readonly { readonly value: Aim; readonly label: string }[] = [
		{ value: 'fewest-pages', label: 'Fewest pages' },
		{ value: 'balanced', label: 'Balanced' },
		{ value: 'roomiest', label: 'Roomiest' }
	];

	const cell = (size: Size) => `${size.w} × ${size.h}`;

	/** What tells an aim from the others, for whoever points at it. */
	function wordsOf(summary: Summary | undefined): string {
		if (!summary) return 'being worked out …';
		const { smallestCell, largestCell, artSquares } = summary;
		const boxes =
			smallestCell && largestCell ? `boxes ${cell(smallestCell)} to ${cell(largestCell)}, ` : '';
		return `${boxes}${artSquares} squares free`;
	}

	function choose(text: string) {
		const aim = aims.find(({ value }) => value === text)?.value;
		if (aim) desk.change({ aim });
	}
</script>

<RadioGroup.Root
	value={desk.month.aim}
	onValueChange={choose}
	aria-label="Three ways to fit the month"
	aria-busy={desk.outlook.busy}
	class="flex flex-wrap gap-1"
>
	{#each aims as { value, label } (value)}
		{@const summary = desk.outlook.suggestions.find(({ aim }) => aim === value)?.summary}
		<RadioGroup.Item
			{value}
			title={wordsOf(summary)}
			class="flex min-h-9 items-baseline gap-x-1.5 border-b-[3px] border-transparent px-2 text-ink-soft hover:text-ink data-[state=checked]:border-calm data-[state=checked]:font-medium data-[state=checked]:text-ink"
		>
			{label}
			{#if summary}
				<span class="text-rubric">{summary.pagesUsed}</span>
				{#if summary.leftOut > 0}<span class="text-sm text-caution">{summary.leftOut} left out</span
					>{/if}
			{/if}
		</RadioGroup.Item>
	{/each}
</RadioGroup.Root>
