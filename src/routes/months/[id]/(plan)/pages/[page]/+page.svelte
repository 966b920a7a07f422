<script lang="ts">
	import { page } from '$app/state';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import { openSpread } from '$lib/ui/page/open-spread';
	import { monthWords } from '$lib/ui/words';

	const current = getMonthDesk();
	const desk = $derived(current());
	const open = $derived(openSpread(desk.run, page.params.page));
	const title = $derived(monthWords(desk.plan.month));
</script>

<svelte:head>
	<title
		>{open ? `Pages ${open.spread.left} and ${open.spread.right} · ` : ''}{title} · Horarium</title
	>
</svelte:head>
