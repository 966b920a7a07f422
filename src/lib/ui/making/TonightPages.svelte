<script lang="ts">
	import type { PlannedSitting } from '$lib/core/making';
	import { namesOn } from '../month/block-name';
	import type { MonthDesk } from '../month/month-desk.svelte';

	/** Pages of an evening by number and name, each with its guide. */
	let { desk, sitting }: { desk: MonthDesk; sitting: PlannedSitting } = $props();

	const pages = $derived(
		[
			...new Set(
				sitting.pieces.flatMap(({ cuts, tasks }) => (cuts ? [] : tasks.map(({ page }) => page)))
			)
		].sort((a, b) => a - b)
	);
</script>

{#if pages.length > 0}
	<div>
		<h2 class="text-lg">Pages</h2>
		<ul>
			{#each pages as page (page)}
				<li>
					<a
						class="flex min-h-8 items-baseline gap-2 hover:bg-chosen"
						href="/months/{desk.id}/guide/{page}"
						><span class="w-8 text-rubric">{page}</span>
						<span class="underline decoration-hairline underline-offset-4"
							>{namesOn(desk.run, [page])}</span
						></a
					>
				</li>
			{/each}
		</ul>
	</div>
{/if}
