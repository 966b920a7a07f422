<script lang="ts">
	import { bandwidthOf, minutesOf, overloads, workedOff, type Leveled } from '$lib/core/goals';
	import { monthShape, weekdayNames, weekdayOrder } from '$lib/core/month';
	import { allWishes, type Wish } from '$lib/core/wish';
	import NumberField from '../fields/NumberField.svelte';
	import { nth } from '../words';
	import type { MonthDesk } from './month-desk.svelte';

	/** Whether there is time for the goals of a wish, and by how little they may be moved so that there is. */
	let { desk, wish }: { desk: MonthDesk; wish: Wish } = $props();

	const goals = $derived(wish.goals ?? []);
	const hours = $derived(wish.goalHours ?? [2, 1, 1, 1, 1, 1, 2]);
	const shape = $derived(monthShape(desk.plan.month, desk.plan.weekStart));
	const events = $derived(allWishes(desk.wishes).flatMap(({ events = [] }) => events));
	const bandwidth = $derived(bandwidthOf(hours, shape, events));
	const full = $derived(overloads(goals, bandwidth));
	const work = $derived(workedOff(goals, bandwidth));
	const week = $derived(weekdayOrder(desk.plan.weekStart));
	const names = $derived(weekdayNames('en', desk.plan.weekStart, 'short'));
	const most = $derived(Math.max(60, ...bandwidth));
	/** The least moving, by what it was asked for. */
	let found = $state.raw<{ readonly asked: string; readonly way: Leveled | undefined }>();
	const asked = $derived(JSON.stringify([goals, bandwidth]));
	const way = $derived(found?.asked === asked ? found : undefined);

	$effect(() => {
		if (full.length === 0 || found?.asked === asked) return;
		const own = asked;
		void desk.leveled(goals, bandwidth)?.then((way) => (found = { asked: own, way }));
	});

	const inHours = (minutes: number) => `${Math.round((10 * minutes) / 60) / 10} h`;
	const days = (from: number, to: number) =>
		from === to ? `On the ${nth(from)}` : `From the ${nth(from)} to the ${nth(to)}`;
	/** What of each goal is moved, in words. */
	const moves = $derived(
		way?.way?.goals.flatMap((goal, at) => {
			const was = goals[at];
			if (!was || (was.from === goal.from && was.to === goal.to)) return [];
			return [`${goal.name} from the ${nth(goal.from)} to the ${nth(goal.to)}`];
		}) ?? []
	);

	function setHours(weekday: number, value: number | undefined) {
		desk.edit(wish.id, {
			goalHours: hours.map((own, at) => (at === weekday ? (value ?? 0) : own))
		});
	}
</script>

<section class="flex flex-col gap-2" aria-label="Time for the goals">
	<fieldset class="flex flex-wrap gap-2">
		<legend class="pb-1 text-sm text-ink-soft">Hours for goals on each weekday</legend>
		{#each week as weekday, at (weekday)}
			<NumberField
				label={names[at] ?? ''}
				whole={false}
				value={hours[weekday] ?? 0}
				least={0}
				most={24}
				onchange={(value) => setHours(weekday, value)}
			/>
		{/each}
	</fieldset>
	{#if goals.some((goal) => minutesOf(goal) > 0)}
		<div
			role="img"
			class="flex h-16 items-end gap-px"
			aria-label="Hours each day: {inHours(
				bandwidth.reduce((sum, one) => sum + one, 0)
			)} there are, {inHours(goals.reduce((sum, goal) => sum + minutesOf(goal), 0))} are wanted"
		>
			{#each bandwidth as minutes, at (at)}
				{@const used = (work.days[at] ?? []).reduce((sum, one) => sum + one, 0)}
				{@const over = full.some(({ from, to }) => from <= at + 1 && at + 1 <= to)}
				<span
					class="relative flex-1 border border-b-0 {over
						? 'border-caution bg-caution-ground'
						: 'border-hairline'}"
					style:height="{(100 * minutes) / most}%"
				>
					<span
						class="absolute inset-x-0 bottom-0 {over ? 'bg-caution' : 'bg-calm'}"
						style:height={minutes === 0 ? '0' : `${(100 * used) / minutes}%`}
					></span>
				</span>
			{/each}
		</div>
		{#if full.length === 0}
			<p class="text-sm" role="status">There is time for all of them.</p>
		{:else}
			<ul class="text-sm" role="status">
				{#each full as { from, to, wanted, there } (`${from} ${to}`)}
					<li>{days(from, to)} {inHours(wanted)} are wanted and {inHours(there)} are there.</li>
				{/each}
			</ul>
			{#if !way}
				<p class="text-sm text-ink-soft">Looking for the smallest change …</p>
			{:else if way.way}
				{@const { goals: moved, moved: by, proven } = way.way}
				<p class="text-sm">
					{moves.join('; ')}: {by === 1 ? 'one day' : `${by} days`} moved in all,
					{proven ? 'no less will do' : 'the least that was found'}.
				</p>
				<p>
					<button class="button" onclick={() => desk.edit(wish.id, { goals: moved })}
						>Move them so</button
					>
				</p>
			{:else}
				<p class="text-sm">
					There is not enough time for all of them this month. Add hours, or let one wait.
				</p>
			{/if}
		{/if}
	{:else}
		<p class="text-sm text-ink-soft">
			Enter how long each takes, as in “Learn the reel 3–20 +4, 10 h”, to see whether there is
			enough time.
		</p>
	{/if}
</section>
