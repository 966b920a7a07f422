<script lang="ts">
	import { plannablePages } from '$lib/core/paper';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk }: { desk: MonthDesk } = $props();
	const left = $derived(plannablePages(desk.plan.notebook).length - desk.run.pagesUsed);
	const used = $derived(desk.run.pagesUsed);
</script>

<p class="font-serif text-2xl">
	<span class="text-rubric">{used}</span>
	{used === 1 ? 'page' : 'pages'}, <span class="text-rubric">{left}</span> left
</p>
