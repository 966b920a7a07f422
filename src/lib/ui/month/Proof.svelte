<script lang="ts">
	import { sharedPages } from '$lib/core/fit';
	import type { MonthDesk } from './month-desk.svelte';

	/** How good the run is known to be. */
	let { desk }: { desk: MonthDesk } = $props();

	const words = $derived.by(() => {
		if (desk.planning) return 'Looking for a better run …';
		if (desk.run.pages.length === 0) return '';
		if (desk.run.optimal)
			return 'Of all sizes tried, no run is better for this aim: that is proven.';
		return `Of the sizes tried, a better run may exist: by at most ${desk.run.bound} points of this aim.`;
	});
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
