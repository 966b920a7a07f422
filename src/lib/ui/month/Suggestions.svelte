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

	const cell = (size: Size | undefined) => (size ? `${size.w} × ${size.h}` : '–');

	function linesOf(summary: Summary | undefined): string[] {
		if (!summary) return ['being worked out …', ''];
		const { smallestCell, largestCell, artSquares, leftOut } = summary;
		return [
			smallestCell ? `cells ${cell(smallestCell)} to ${cell(largestCell)}` : 'no cells',
			`${artSquares} squares for art${leftOut > 0 ? `, ${leftOut} left out` : ''}`
		];
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
	aria-busy={desk.suggesting}
	class="grid grid-cols-3 border-y border-hairline"
>
	{#each aims as { value, label } (value)}
		{@const summary = desk.suggestions.find(({ aim }) => aim === value)?.summary}
		<RadioGroup.Item
			{value}
			class="flex flex-col items-start border-b-4 border-transparent px-3 py-1.5 text-left hover:bg-sheet data-[state=checked]:border-calm data-[state=checked]:bg-sheet"
		>
			<span class="flex flex-wrap items-baseline gap-x-2">
				<span class="font-serif text-lg">{label}</span>
				<span>
					{#if summary}
						<span class="font-serif text-lg text-rubric">{summary.pagesUsed}</span>
						{summary.pagesUsed === 1 ? 'page' : 'pages'}
					{/if}
				</span>
			</span>
			{#each linesOf(summary) as line, index (index)}
				<span class="text-sm leading-snug text-ink-soft">{line}</span>
			{/each}
		</RadioGroup.Item>
	{/each}
</RadioGroup.Root>
