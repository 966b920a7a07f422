<script lang="ts">
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import { monthWords } from '$lib/ui/words';

	const current = getMonthDesk();
</script>

<svelte:head><title>{monthWords(current().plan.month)} · Horarium</title></svelte:head>
