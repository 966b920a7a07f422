<script lang="ts">
	import { plannablePages } from '$lib/core/paper';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk }: { desk: MonthDesk } = $props();
	const free = $derived(plannablePages(desk.plan.notebook));
	const used = $derived(desk.run.pagesUsed);
	const left = $derived(free.length - used);
</script>

<div class="flex items-center gap-3">
	<p>
		<span class="font-serif text-2xl text-rubric">{used}</span>
		{used === 1 ? 'page' : 'pages'} used,
		<span class="font-serif text-2xl text-rubric">{left}</span>
		of {free.length} left in
		<a href="/notebooks" class="underline decoration-hairline underline-offset-4"
			>{desk.plan.notebook.name}</a
		>
	</p>
	<svg
		viewBox="0 0 {Math.max(free.length, 1) * 3} 8"
		class="h-3 max-w-72 flex-1"
		preserveAspectRatio="none"
		aria-hidden="true"
	>
		{#each free as page, index (page.number)}
			<rect
				x={index * 3 + 0.3}
				y="0.5"
				width="2.4"
				height="7"
				stroke-width="0.4"
				class={index < used ? 'fill-ink stroke-ink' : 'fill-paper stroke-ink-soft'}
			/>
		{/each}
	</svg>
</div>
