<script lang="ts">
	import { taskWords, type PlannedSitting, type WorkPiece } from '$lib/core/making';
	import type { Run } from '$lib/core/fit';
	import { namesOn } from '../month/block-name';
	import { minuteWords } from './drying';
	import type { MakingDesk } from './making-desk.svelte';

	interface Props {
		run: Run;
		making: MakingDesk;
		sitting: PlannedSitting;
		/** The task that is next. */
		next: string | undefined;
		/** Days of all sittings, to give a spread to another one. */
		days: readonly string[];
		/** Pages that are marked as drawn are no longer planned. */
		ondrawn: (pages: readonly number[]) => void;
	}
	/** All of a sitting in order, with what must be waited for in between. */
	let { run, making, sitting, next, days, ondrawn }: Props = $props();

	/** Nobody notices a shorter one, in seconds. */
	const leastWait = 10;

	/** Steps of a piece of the sitting. */
	const stepsOf = ({ tasks }: WorkPiece) =>
		sitting.steps.filter(({ task }) => tasks.includes(task));

	const pagesOf = ({ tasks }: WorkPiece) =>
		[...new Set(tasks.map(({ page }) => page))].sort((a, b) => a - b);
	const pageWords = (pages: readonly number[]) =>
		pages.length === 1 ? `Page ${pages[0]}` : `Pages ${pages[0]} and ${pages[1]}`;
	const cutWords = (fronts: readonly number[]) =>
		`${fronts.length === 1 ? 'Leaf' : 'Leaves'} ${fronts.map((front) => `${front}/${front + 1}`).join(', ')}`;
	const finished = ({ tasks }: WorkPiece) => tasks.every((task) => making.isDone(task));
	const taskOf = (piece: WorkPiece, id: string) => piece.tasks.find((task) => task.id === id);

	function ticked(piece: WorkPiece, id: string, done: boolean) {
		const task = taskOf(piece, id);
		if (!task) return;
		if (done) making.finish(task, Date.now());
		else making.takeBack(task, Date.now());
	}
</script>

{#each sitting.pieces as piece (piece.tasks[0]?.id)}
	<h3 class="pt-4 font-serif text-xl">
		{piece.cuts ? cutWords(piece.cuts) : pageWords(pagesOf(piece))}{#if piece.part}<span
				class="text-base text-ink-soft"
			>
				, part {piece.part[0]} of {piece.part[1]}</span
			>{/if}
		<span class="font-sans text-sm text-ink-soft"
			>{piece.cuts ? '' : `${namesOn(run, pagesOf(piece))} · `}{minuteWords(
				piece.ordered.end
			)}</span
		>
		{#if !piece.part && !piece.cuts}
			{@const at = days.indexOf(sitting.day)}
			{@const words = pageWords(pagesOf(piece)).toLowerCase()}
			<span class="float-right flex gap-2 font-sans text-sm print:hidden">
				{#each [{ label: 'earlier', day: days[at - 1] }, { label: 'later', day: days[at + 1] }] as { label, day } (label)}
					{#if day}
						<button
							class="underline decoration-hairline underline-offset-4 hover:decoration-ink"
							aria-label="{label}: do {words} in the sitting {label === 'earlier'
								? 'before'
								: 'after'}"
							onclick={() => making.give(piece.left, day, Date.now())}>{label}</button
						>
					{/if}
				{/each}
				{#if making.moved[piece.left]}
					<button
						class="underline decoration-hairline underline-offset-4 hover:decoration-ink"
						aria-label="Do {words} wherever it fits"
						onclick={() => making.give(piece.left, undefined, Date.now())}>wherever it fits</button
					>
				{/if}
			</span>
		{/if}
	</h3>
	<ol>
		{#each stepsOf(piece) as { task, wait, rest } (task.id)}
			{@const { id, page, seconds } = task}
			{@const words = taskWords(task)}
			{#if wait >= leastWait}
				<li class="py-0.5 pl-9 text-ink-soft italic">{minuteWords(wait)} to dry</li>
			{/if}
			<li class={id === next ? 'bg-chosen' : ''}>
				<label class="flex min-h-8 cursor-pointer items-center gap-3 px-2">
					<input
						type="checkbox"
						class="size-5 shrink-0 accent-calm"
						checked={id in making.done}
						onchange={(event) => ticked(piece, id, event.currentTarget.checked)}
					/>
					<span class="flex-1 {id in making.done ? 'text-ink-soft' : ''}"
						><span class="inline-block w-8 font-serif text-rubric">{page}</span>{words}</span
					>
					<span class="text-sm text-ink-soft"
						>{minuteWords(seconds)}{rest > 0
							? `, and ${minuteWords(rest)} of rest for your hand`
							: ''}</span
					>
				</label>
			</li>
		{/each}
	</ol>
	{#if finished(piece) && !piece.part && !piece.cuts}
		<p class="border-l-4 border-calm bg-chosen px-3 py-2 print:hidden" role="status">
			{pageWords(pagesOf(piece))}
			{pagesOf(piece).length === 1 ? 'is' : 'are'} finished.
			<button class="button ml-2" onclick={() => ondrawn(pagesOf(piece))}>Mark as drawn</button>
		</p>
	{/if}
{/each}
