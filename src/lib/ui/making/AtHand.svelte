<script lang="ts">
	import {
		mindAt,
		passNames,
		problemOf,
		slips,
		taskWords,
		type Task,
		type WorkPiece
	} from '$lib/core/making';
	import { spreadOf } from '$lib/core/paper';
	import { namesOn } from '../month/block-name';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import SpreadPicture from '../page/SpreadPicture.svelte';
	import ToneSwatch from '../theme/ToneSwatch.svelte';
	import { clockWords, minuteWords, waitFor } from './drying';
	import type { MakingDesk } from './making-desk.svelte';
	import StandsElsewhere from './StandsElsewhere.svelte';

	interface Props {
		making: MakingDesk;
		desk: MonthDesk;
		piece: WorkPiece;
		task: Task;
		now: number;
		ondone: () => void;
		/** The page can no longer be used. */
		onspoilt: () => void;
	}
	/** The one thing that is to be done now, large enough to be read beside the book. */
	let { making, desk, piece, task, now, ondone, onspoilt }: Props = $props();

	const names = $derived(namesOn(desk.run, [task.page]));
	const { shelf, tools } = $derived(making.settings);
	const problem = $derived(problemOf(piece.tasks, making.settings));
	const wait = $derived(waitFor(piece, problem, task, making.done, now));
	const mind = $derived(mindAt(task, shelf, desk.plan.notebook.paper, tools));
</script>

<section
	aria-label="Now"
	class="grid gap-x-6 gap-y-3 pb-4 xl:grid-cols-[minmax(0,27rem)_1fr] print:hidden"
>
	<a
		href="/months/{desk.id}/guide/{task.page}"
		class="block self-start max-xl:hidden"
		tabindex="-1"
		aria-hidden="true"
	>
		<SpreadPicture
			plan={desk.plan}
			run={desk.run}
			spread={spreadOf(task.page)}
			label="Pages of this task"
		/>
	</a>
	<div>
		<p class="text-ink-soft">
			<span class="text-rubric">{task.page}</span>
			{names} · {passNames[task.pass]}
		</p>
		<p class="py-1 font-serif text-4xl leading-tight" aria-live="polite">
			{taskWords(task)}
			{#if task.tone}<ToneSwatch tone={task.tone} theme={desk.plan.theme} />{/if}
		</p>
		<p class="text-ink-soft">
			about {minuteWords(task.seconds)} ·
			<a class="underline" href="/months/{desk.id}/guide/{task.page}"
				>page {task.page}, dot by dot</a
			>
		</p>
		{#if wait}
			<p class="mt-3 border-l-4 border-caution bg-caution-ground px-3 py-2" role="timer">
				<span class="font-serif text-2xl">{clockWords(wait.left)}</span>
				until “{taskWords(wait.task).toLowerCase()}” is dry enough. Work outside the book, such as
				labels and trial letters, or rest your hand.
			</p>
		{/if}
		{#each mind as says (says)}<p class="pt-2">{says}</p>{/each}
		<button
			class="button button-main mt-4 min-h-16 w-full max-w-md text-2xl max-md:sticky max-md:bottom-14"
			data-step
			data-done
			onclick={ondone}>Done</button
		>
		<details class="pt-3">
			<summary class="cursor-pointer text-ink-soft">Something went wrong</summary>
			<p class="pt-1">{slips[task.pass]}</p>
			<StandsElsewhere {desk} page={task.page} />
			<p class="pt-3">
				<button class="button" onclick={onspoilt}>Page {task.page} is spoilt: plan around it</button
				>
			</p>
		</details>
	</div>
</section>
