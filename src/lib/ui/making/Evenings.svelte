<script lang="ts">
	import type { PlannedSitting } from '$lib/core/making';
	import type { MakingDesk } from './making-desk.svelte';

	interface Props {
		making: MakingDesk;
		sittings: readonly PlannedSitting[];
		/** The one that is looked at. */
		at: number;
		onchoose: (index: number) => void;
	}
	/** The evenings in a strip, as on a wall calendar: what is drawn on each, and how long it takes. */
	let { making, sittings, at, onchoose }: Props = $props();

	const dayWords = (day: string) =>
		new Date(day).toLocaleDateString('en-GB', {
			weekday: 'short',
			day: 'numeric',
			month: 'short',
			timeZone: 'UTC'
		});
	const pagesOf = ({ pieces }: PlannedSitting) =>
		pieces
			.map(({ tasks }) =>
				[...new Set(tasks.map(({ page }) => page))].sort((a, b) => a - b).join('–')
			)
			.join(', ');
	const isDone = (sitting: PlannedSitting) => making.next(sitting) === undefined;
</script>

<ol aria-label="Evenings" class="flex gap-1.5 overflow-x-auto pb-3 print:hidden">
	{#each sittings as sitting, index (sitting.day)}
		{@const here = index === at}
		<li class="min-w-28 flex-1">
			<button
				class="flex min-h-14 w-full flex-col items-start px-3 py-1.5 text-left {here
					? 'bg-ink text-field'
					: isDone(sitting)
						? 'bg-chosen hover:bg-sheet'
						: 'bg-sheet hover:bg-chosen'}"
				aria-current={here ? 'true' : undefined}
				onclick={() => onchoose(index)}
			>
				<span class="font-medium">{dayWords(sitting.day)}</span>
				<span class="w-full truncate text-sm {here ? '' : 'text-ink-soft'}"
					>{isDone(sitting) ? 'done' : `${sitting.late ? 'late: ' : ''}${pagesOf(sitting)}`}</span
				>
				<span class="text-sm {here ? '' : 'text-ink-soft'}"
					>{Math.round(sitting.seconds / 60)} of {sitting.minutes} min</span
				>
			</button>
		</li>
	{/each}
</ol>
