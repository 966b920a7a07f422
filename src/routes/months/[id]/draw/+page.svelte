<script lang="ts">
	import { onMount, tick, untrack } from 'svelte';
	import { invalidate } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import { pageOf } from '$lib/core/paper';
	import { getKeeping } from '$lib/ui/keeping/keeping.svelte';
	import { NotebookKeeper } from '$lib/ui/keeping/notebook-keeper.svelte';
	import { layOut, secondsLeft, type Task } from '$lib/core/making';
	import AtHand from '$lib/ui/making/AtHand.svelte';
	import Evenings from '$lib/ui/making/Evenings.svelte';
	import TonightPages from '$lib/ui/making/TonightPages.svelte';
	import { clockWords, minuteWords, restFor, wetNow } from '$lib/ui/making/drying';
	import { MakingDesk } from '$lib/ui/making/making-desk.svelte';
	import MakingFields from '$lib/ui/making/MakingFields.svelte';
	import SittingSteps from '$lib/ui/making/SittingSteps.svelte';
	import Notices from '$lib/ui/shell/Notices.svelte';
	import { wayWords } from '$lib/ui/making/way-words';
	import WakeLock from '$lib/ui/making/WakeLock.svelte';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import { isTyping } from '$lib/ui/shell/keys';
	import { monthWords } from '$lib/ui/words';

	let { data } = $props();
	const keeping = getKeeping();
	/** The book that was changed and must be kept before the month is planned in it. */
	let changed = $state.raw<NotebookKeeper>();
	const current = getMonthDesk();
	const desk = $derived(current());
	const making = $derived(
		new MakingDesk(
			desk,
			untrack(() => data.making),
			untrack(() => data.progress)
		)
	);
	let now = $state(0);
	/** The sitting that is looked at, the one at hand to begin with. */
	let chosen = $state<number>();

	onMount(() => {
		now = Date.now();
		const clock = setInterval(() => (now = Date.now()), 1000);
		return () => clearInterval(clock);
	});
	$effect(() => untrack(() => making.recall()));
	$effect(() => {
		const [ready, settings, run] = [desk.opened, making.settings, desk.run, moved];
		if (ready && settings && run) void making.reckon(new Date().toISOString().slice(0, 10));
	});

	/** As a text, because it is the same after most ticks. */
	const moved = $derived(JSON.stringify(making.moved));
	const plan = $derived(making.plan);
	const at = $derived(plan ? Math.min(chosen ?? 0, Math.max(0, plan.sittings.length - 1)) : 0);
	// It stays the one that is looked at when it is done: what is finished is marked there.
	$effect(() => {
		if (plan && chosen === undefined) chosen = untrack(() => making.atHand(plan));
	});
	const sitting = $derived(plan?.sittings[at]);
	const next = $derived(sitting && making.next(sitting));
	const wet = $derived(plan ? wetNow(plan, making.done, making.settings.shelf, now) : []);
	const rest = $derived(plan ? restFor(plan, making.done, now) : 0);
	const isDone = (task: Task) => making.isDone(task);
	const left = $derived(sitting ? secondsLeft(sitting, isDone) : 0);
	/** Of all sittings: the same figure, added up. */
	const leftInAll = $derived(
		plan ? plan.sittings.reduce((sum, one) => sum + secondsLeft(one, isDone), 0) : 0
	);
	const known = $derived(Object.keys(making.settings.pace).length > 0);
	const range = $derived(known ? ([0.9, 1.15] as const) : ([0.75, 1.4] as const));
	const title = $derived(monthWords(desk.plan.month));

	const dayWords = (day: string) =>
		new Date(day).toLocaleDateString('en-GB', {
			weekday: 'short',
			day: 'numeric',
			month: 'long',
			timeZone: 'UTC'
		});

	function show(index: number) {
		if (plan) chosen = Math.min(plan.sittings.length - 1, Math.max(0, index));
	}

	function finish() {
		if (next) making.finish(next.task, Date.now());
	}

	function pressed(event: KeyboardEvent) {
		if (isTyping(event) || event.altKey || event.ctrlKey || event.metaKey) return;
		const onButton =
			event.target instanceof HTMLElement &&
			event.target.closest('button:not([data-step]), a, summary, input, label');
		if (event.key === ' ' && !onButton) finish();
		else if (event.key === 'ArrowLeft') show(at - 1);
		else if (event.key === 'ArrowRight') show(at + 1);
		else return;
		event.preventDefault();
	}

	/** A page that is spoilt is so in the book; the month is planned anew once the book is kept. */
	function spoil(page: number) {
		const keeper = keeping.notebook(data.book, (kept) => new NotebookKeeper(kept));
		const othersNow = () => keeper.notebook.pages?.filter(({ number }) => number !== page) ?? [];
		const before = keeper.notebook.pages?.filter(({ number }) => number === page) ?? [];
		const { columns, rows } = pageOf(keeper.notebook, page);
		const back = making.planAround(page, Date.now());
		keeper.change({ pages: [...othersNow(), { number: page, columns, rows, state: 'spoilt' }] });
		changed = keeper;
		toast(`Page ${page} is spoilt and no longer planned.`, {
			action: {
				label: 'Undo',
				onClick: () => {
					keeper.change({ pages: [...othersNow(), ...before] });
					changed = keeper;
					back();
				}
			}
		});
	}
	$effect(() => {
		if (!changed?.saver.settled || !desk.saver.settled) return;
		changed = undefined;
		void invalidate('horarium:month');
	});

	async function drawn(pages: readonly number[]) {
		making.drawn(pages);
		await tick();
		document.querySelector<HTMLElement>('[data-done]')?.focus();
	}
</script>

<svelte:head><title>Draw {title} · Horarium</title></svelte:head>
<svelte:window onkeydown={pressed} />

<main
	id="main"
	class="grid min-h-0 flex-1 content-start gap-x-8 gap-y-4 px-5 py-4 lg:grid-cols-[1fr_20rem] print:block"
>
	<section aria-label="The sitting" class="min-w-0">
		<h1 class="sr-only">Draw {title}</h1>
		{#if !plan}
			<p class="py-4 text-ink-soft" role="status">The evenings are being worked out …</p>
		{:else if !sitting}
			<p class="py-4 text-lg">
				{plan.unseated.length > 0
					? 'Nothing of it fits into the time that you have: say when you have more.'
					: 'Everything of this month is drawn.'}
			</p>
		{:else}
			<Evenings {making} sittings={plan.sittings} {at} onchoose={show} />
			{#if next}
				<AtHand
					{making}
					{desk}
					piece={next.piece}
					task={next.task}
					{now}
					ondone={finish}
					onspoilt={() => spoil(next.task.page)}
				/>
			{:else}
				<p class="py-6 font-serif text-3xl print:hidden">This evening is done.</p>
			{/if}
			{#if rest > 0}
				<p class="py-2 print:hidden" role="status">
					<span class="inline-block w-14 font-serif text-lg text-rubric">{clockWords(rest)}</span>
					Rest your hand: you have worked for 25 minutes.
				</p>
			{/if}
			{#if wet.length > 0}
				<ul class="py-2 print:hidden" aria-label="What is drying">
					{#each wet as { task, left: seconds } (task.id)}
						<li class="text-ink-soft">
							<span class="inline-block w-14 font-serif text-lg text-rubric"
								>{clockWords(seconds)}</span
							>
							Do not turn or touch page {task.page} yet.
						</li>
					{/each}
				</ul>
			{/if}
			<h2 class="border-t border-hairline pt-3 text-xl print:hidden">The whole evening</h2>
			{#each plan.sittings as shown, index (shown.day)}
				<div class={index === at ? 'print:pb-6' : 'hidden print:block print:pb-6'}>
					<div class="hidden print:block">
						<h2 class="border-b border-ink text-xl">{dayWords(shown.day)}, {shown.at}</h2>
						<p class="text-sm">
							Lay out: {layOut(
								shown.pieces.flatMap(({ tasks }) => tasks),
								making.settings.shelf,
								making.settings.tools
							).join(', ')}.
						</p>
					</div>
					<SittingSteps
						run={desk.run}
						{making}
						sitting={shown}
						next={next?.task.id}
						days={plan.sittings.map(({ day }) => day)}
						ondrawn={drawn}
					/>
				</div>
			{/each}
		{/if}
	</section>
	<aside aria-label="This evening, and how I work" class="flex min-w-0 flex-col gap-4 print:hidden">
		{#if plan && sitting}
			<div>
				<h2 class="text-xl">{dayWords(sitting.day)}, {sitting.at}</h2>
				<p role="status">{left > 0 ? `${minuteWords(left)} left` : 'done'}</p>
			</div>
			<div>
				<h2 class="text-lg">On the table</h2>
				<p class="text-ink-soft">
					{layOut(
						sitting.pieces.flatMap(({ tasks }) => tasks),
						making.settings.shelf,
						making.settings.tools
					).join(', ')}
				</p>
			</div>
			<TonightPages {desk} {sitting} />
		{/if}
		<nav aria-label="Tools" class="flex flex-wrap gap-2">
			<a class="button" href="/months/{desk.id}/guide/first">Counting guide</a>
			<a class="button" href="/months/{desk.id}/sheets">Sheets</a>
			<a class="button" href="/months/{desk.id}/labels">Labels</a>
		</nav>
		{#if plan && plan.sittings.length > 0}
			<div>
				<h2 class="text-lg">
					{minuteWords(leftInAll)} left in {plan.sittings.length}
					{plan.sittings.length === 1 ? 'evening' : 'evenings'}
				</h2>
				<p class="text-sm text-ink-soft">
					Between {minuteWords(leftInAll * range[0])} and {minuteWords(leftInAll * range[1])}{known
						? ', by your own pace.'
						: ' until your own pace is known from what you tick off.'}
				</p>
			</div>
			{#each making.savings as saving (wayWords(saving.way, desk.wishes))}
				<p class="pb-2">
					<button
						class="button h-auto text-left whitespace-normal"
						onclick={() => making.simplify(saving)}
						>{wayWords(saving.way, desk.wishes)}: saves {minuteWords(saving.saved)}</button
					>
				</p>
			{/each}
			{#if plan.unseated.length > 0}
				<p class="border-l-4 border-caution bg-caution-ground px-3 py-2">
					{plan.unseated.length === 1 ? 'One spread has' : `${plan.unseated.length} spreads have`} no
					place: give more minutes or days, or print sheets instead of ruling them.
				</p>
			{/if}
			<p class="flex flex-wrap items-center gap-2">
				<a class="button" href="/app/months/{desk.id}/sittings.ics" download
					>Add them to my calendar</a
				>
				<button class="button" onclick={() => print()}>Print the work order</button>
			</p>
		{/if}
		{#if making.progressSaver.state.kind === 'failed'}
			<p role="alert" class="mb-3 bg-caution-ground px-3 py-2">
				{making.progressSaver.state.message}
			</p>
		{/if}
		{#if making.saver.state.kind === 'failed'}
			<p role="alert" class="mb-3 bg-caution-ground px-3 py-2">{making.saver.state.message}</p>
		{/if}
		<WakeLock />
		<MakingFields {making} />
	</aside>
</main>
<Notices />
