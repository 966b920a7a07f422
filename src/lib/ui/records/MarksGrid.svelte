<script lang="ts">
	import { rateOf, type Tally } from '$lib/core/records';
	import { percent } from './tally-words';

	interface Props {
		tally: Extract<Tally, { of: 'marks' }>;
		days: number;
	}
	/** Habits by day as a grid, each row with its total: the picture and its numbers in one. */
	let { tally, days }: Props = $props();

	const all = $derived(Array.from({ length: days }, (_, at) => at + 1));
	const words = (mark: string | undefined) =>
		mark === undefined
			? ''
			: mark === 'x'
				? 'done'
				: mark === '-'
					? 'missed'
					: mark === 'o'
						? 'not due'
						: mark;
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="relative overflow-x-auto" role="group" aria-label="Habits by day" tabindex="0">
	<table class="border-collapse text-sm">
		<thead>
			<tr>
				<th class="pr-3 text-left font-normal text-ink-soft" scope="col">Habit</th>
				{#each all as day (day)}
					<th scope="col" class="w-5 text-center font-normal text-ink-soft">{day}</th>
				{/each}
				<th scope="col" class="pl-3 text-right font-normal text-ink-soft">Done</th>
				<th scope="col" class="pl-3 text-right font-normal text-ink-soft">Due</th>
				<th scope="col" class="pl-3 text-right font-normal text-ink-soft">Rate</th>
			</tr>
		</thead>
		<tbody>
			{#each tally.rows as { item, days: marks, tally: own }, at (at)}
				{@const rate = rateOf(own)}
				<tr>
					<th scope="row" class="pr-3 text-left font-normal whitespace-nowrap">{item.name}</th>
					{#each all as day (day)}
						{@const mark = marks.get(day)}
						<td
							class="h-5 border border-hairline text-center leading-none {mark &&
							mark !== '-' &&
							mark !== 'o'
								? 'bg-ink text-field'
								: 'bg-paper'}"
							><span class="sr-only">{words(mark)}</span><span aria-hidden="true"
								>{mark === '-' ? '–' : mark === 'o' ? '◦' : mark && mark !== 'x' ? mark : ''}</span
							></td
						>
					{/each}
					<td class="pl-3 text-right">{own.met}</td>
					<td class="pl-3 text-right">{own.due ?? ''}</td>
					<td class="pl-3 text-right font-serif text-base text-rubric"
						>{rate === undefined ? '' : percent(rate)}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
