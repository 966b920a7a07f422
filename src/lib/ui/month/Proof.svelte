<script lang="ts">
	import { sharedPages, type Gap } from '$lib/core/fit';
	import type { MonthDesk } from './month-desk.svelte';

	/** How good the run is known to be. */
	let { desk }: { desk: MonthDesk } = $props();

	const words = $derived.by(() => {
		if (desk.planning) return 'Looking for a better run …';
		if (desk.run.pages.length === 0) return '';
		if (desk.run.optimal) return 'Best fit found.';
		return `A better fit may exist: by ${gapWords(desk.run.gap)} at most.`;
	});

	function gapWords({ pages, leftOut, comfort }: Gap): string {
		const count = (many: number, one: string, more: string) =>
			many > 0 ? [`${many} ${many === 1 ? one : more}`] : [];
		const parts = [
			...count(leftOut, 'thing that is left out', 'things that are left out'),
			...count(pages, 'page', 'pages'),
			...count(comfort, 'step of comfort', 'steps of comfort')
		];
		return parts.join(' and ') || 'very little';
	}
	const shared = $derived(desk.planning ? [] : sharedPages(desk.plan, desk.run));
</script>

<p class="text-sm text-ink-soft" role="status">{words}</p>
{#if shared.length > 0}
	<details class="text-sm text-ink-soft">
		<summary class="cursor-pointer underline decoration-hairline underline-offset-4"
			>{shared.length === 1
				? `Page ${shared[0]?.page} is shared`
				: `${shared.length} pages are shared`} by things of different purposes</summary
		>
		<ul class="pt-1 pl-4">
			{#each shared as { page, why } (page)}<li>Page {page}: {why}.</li>{/each}
		</ul>
	</details>
{/if}
