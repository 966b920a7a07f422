<script lang="ts">
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
</script>

<p class="text-sm text-ink-soft" role="status">{words}</p>
