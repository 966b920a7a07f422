<script lang="ts">
	import { gainOf, sharedPages, summaryOf, type Gap, type Offer } from '$lib/core/fit';
	import type { MonthDesk } from './month-desk.svelte';

	/** How good the run is known to be, and what would make it better. */
	let { desk }: { desk: MonthDesk } = $props();

	const offers = $derived(desk.planning ? [] : (desk.outlook.beyond?.offers ?? []));
	const words = $derived.by(() => {
		const { run } = desk;
		const { beyond } = desk.outlook;
		if (desk.planning) return 'Looking for a better run …';
		if (run.pages.length === 0) return '';
		if (run.optimal || (beyond?.optimal && offers.length === 0)) return 'Best fit found.';
		const { pages, leftOut, comfort } = run.gap;
		if (pages + leftOut + comfort > 0)
			return `A better fit may exist: by ${gapWords(run.gap)} at most.`;
		if (offers.length > 0) return 'There is a better fit, if you like:';
		return beyond ? 'Best fit of the sizes that were tried.' : 'Best fit of the usual sizes.';
	});

	const count = (many: number, one: string, more: string) =>
		many > 0 ? [`${many} ${many === 1 ? one : more}`] : [];

	function gapWords({ pages, leftOut, comfort }: Gap): string {
		const parts = [
			...count(leftOut, 'thing that is left out', 'things that are left out'),
			...count(pages, 'page', 'pages'),
			...count(comfort, 'step of comfort', 'steps of comfort')
		];
		return parts.join(' and ') || 'very little';
	}

	function offerWords({ text, summary }: Offer): string {
		const gain = gainOf(summaryOf(desk.run), summary);
		if (!gain) return text;
		if ('pages' in gain) return `${text}: ${count(gain.pages, 'page', 'pages').join('')} fewer`;
		if ('leftOut' in gain)
			return `${text}: room for ${count(gain.leftOut, 'thing', 'things').join('')} more`;
		return `${text}: a little more comfortable`;
	}

	const shared = $derived(desk.planning ? [] : sharedPages(desk.plan, desk.run));
</script>

<div class="flex flex-wrap items-center gap-x-3 gap-y-1 text-sm text-ink-soft">
	<p role="status">{words}</p>
	{#each offers as offer (offer.text)}
		<button class="button min-h-8 text-sm" onclick={() => desk.change(offer.change)}
			>{offerWords(offer)}</button
		>
	{/each}
</div>
{#if shared.length > 0}
	<details class="text-sm text-ink-soft">
		<summary class="cursor-pointer underline decoration-hairline underline-offset-4"
			>Mixed topics on {shared.length === 1
				? `page ${shared[0]?.page}`
				: `${shared.length} pages`}</summary
		>
		<ul class="pt-1 pl-4">
			{#each shared as { page, why } (page)}<li>Page {page}: {why}.</li>{/each}
		</ul>
	</details>
{/if}
