<script lang="ts">
	import { allWishes } from '$lib/core/wish';
	import { nameOf } from '$lib/ui/month/block-name';
	import { changeWords } from '$lib/ui/month/change-words';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import { monthWords } from '$lib/ui/words';

	let { data } = $props();
	const current = getMonthDesk();
	const desk = $derived(current());

	const timeWords = (instant: string) =>
		new Date(instant).toLocaleString('en-GB', {
			weekday: 'short',
			day: 'numeric',
			month: 'short',
			hour: '2-digit',
			minute: '2-digit'
		});

	/** When what was brought back last had been left. */
	let brought = $state<string>();
	let wayBack: (() => void) | undefined;

	function bringBack() {
		if (!data.looked) return;
		desk.bringBack(data.looked.month);
		brought = data.looked.leftAt;
		wayBack = desk.wayBack();
	}

	function undo() {
		wayBack?.();
		brought = undefined;
	}
</script>

<svelte:head><title>What {monthWords(desk.plan.month)} was before · Horarium</title></svelte:head>

<main id="main" class="grid flex-1 content-start gap-x-8 px-5 py-5 md:grid-cols-[1fr_22rem]">
	<section aria-label="Earlier versions" class="min-w-0">
		<h1 class="pb-1 text-3xl">What {monthWords(desk.plan.month)} was before</h1>
		<p class="max-w-prose pb-4 text-ink-soft">
			While you plan, what the month was is kept, at most once a minute and the last hundred times.
			Look at one, and bring it back if you like. What is drawn in the book stays drawn.
		</p>
		<ol class="max-w-3xl">
			{#each data.pasts as { revision, leftAt, wishes, ...changes } (revision)}
				{@const looked = data.looked?.revision === revision}
				<li class="border-t border-hairline {looked ? 'bg-sheet' : ''}">
					<a
						class="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-2 py-2"
						href="?at={revision}"
						aria-current={looked ? 'true' : undefined}
						data-sveltekit-noscroll
						data-sveltekit-keepfocus
					>
						<span class="w-44 font-serif text-lg">until {timeWords(leftAt)}</span>
						<span class="w-24 text-ink-soft">{wishes} {wishes === 1 ? 'wish' : 'wishes'}</span>
						<span class="min-w-0 flex-1 basis-60">Then: {changeWords(changes)}</span>
					</a>
				</li>
			{:else}
				<li class="py-2">
					Nothing has changed yet. Earlier versions appear here from the first change on.
				</li>
			{/each}
		</ol>
		<p class="py-4"><a class="button" href="/months/{desk.id}">Back to the month</a></p>
	</section>
	{#if data.looked}
		{@const { month, leftAt } = data.looked}
		<section
			aria-label="What it held"
			class="border-t border-hairline pt-3 md:sticky md:top-0 md:self-start md:border-t-0 md:border-l md:pl-6"
		>
			<h2 class="text-2xl">Until {timeWords(leftAt)}</h2>
			<p class="pb-2 text-ink-soft">{monthWords(month.month)}, {month.wishes.length} wishes</p>
			<ol aria-label="Wishes">
				{#each allWishes(month.wishes) as wish (wish.id)}
					<li class="py-0.5">{nameOf(wish)}</li>
				{/each}
			</ol>
			<p class="pt-4">
				<button class="button button-main" onclick={bringBack}>Bring it back</button>
			</p>
			{#if brought !== undefined}
				<p class="flex flex-wrap items-center gap-3 pt-4" role="status">
					The month is back to how it was until {timeWords(brought)}.
					<button class="button" onclick={undo}>Undo</button>
				</p>
			{/if}
		</section>
	{/if}
</main>
