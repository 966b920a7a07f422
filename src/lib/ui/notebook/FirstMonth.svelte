<script lang="ts">
	import { onMount } from 'svelte';
	import { startingSet } from '$lib/core/catalogue';
	import { planOf, type Plan, type Run } from '$lib/core/fit';
	import { checked, notebookSchema } from '$lib/core/formats';
	import { defaultHand } from '$lib/core/hand';
	import { parseMonth, type WeekStart } from '$lib/core/month';
	import { spreadOf, type Notebook } from '$lib/core/paper';
	import { Planner } from '../month/planner';
	import SpreadPicture from '../page/SpreadPicture.svelte';

	interface Props {
		notebook: Notebook;
		/** As “2027-05”; nothing is drawn of what is no month. */
		month: string;
		weekStart: WeekStart;
		locale: string;
	}
	/** A first month as it would be drawn in a book, while the book is still being described. */
	let { notebook, month, weekStart, locale }: Props = $props();

	let planner = $state.raw<Planner>();
	let shown = $state.raw<{ plan: Plan; run: Run }>();
	let trouble = $state<string>();

	onMount(() => {
		const made = new Planner(
			(along) => (shown = along),
			(message) => (trouble = message)
		);
		planner = made;
		return () => made.close();
	});
	$effect(() => {
		if (!planner || !parseMonth(month) || !checked(notebookSchema, notebook).ok) return;
		const content = { month, weekStart, aim: 'balanced' as const, wishes: startingSet() };
		void planner.request(planOf(content, notebook, { locale, hand: defaultHand }));
	});

	/** So many spreads fill the screen beside what is asked. */
	const mostShown = 6;
	const spreads = $derived([
		...new Map(
			(shown?.run.pages ?? []).map(({ number }) => [spreadOf(number).left, spreadOf(number)])
		).values()
	]);
</script>

{#if trouble}
	<p role="alert" class="text-caution">{trouble}</p>
{:else if !shown}
	<p class="text-ink-soft" role="status">The first pages are being drawn …</p>
{:else}
	{@const { plan, run } = shown}
	<p class="pb-3 font-serif text-xl">
		<span class="text-rubric">{run.pagesUsed}</span> pages, drawn as they will stand in your book
	</p>
	<ul class="grid grid-cols-[repeat(auto-fill,minmax(min(17rem,100%),1fr))] gap-5">
		{#each spreads.slice(0, mostShown) as spread (spread.left)}
			<li>
				<SpreadPicture {plan} {run} {spread} label="Pages {spread.left} and {spread.right}" />
			</li>
		{/each}
	</ul>
{/if}
