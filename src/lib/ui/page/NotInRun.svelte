<script lang="ts">
	import type { MonthDesk } from '../month/month-desk.svelte';

	/** What stands in place of a page that the run does not have. */
	let { desk }: { desk: MonthDesk } = $props();
</script>

<p class="m-auto max-w-md text-lg">
	{desk.run.pages.length === 0
		? 'No page is planned yet.'
		: 'This page is not part of the month’s run.'}
	<a class="underline" href="/months/{desk.id}">Back to the month</a>
</p>
