<script lang="ts">
	import { invalidate } from '$app/navigation';
	import { untrack } from 'svelte';
	import { getKeeping } from '$lib/ui/keeping/keeping.svelte';
	import { MonthDesk, setMonthDesk, type DeskInput } from '$lib/ui/month/month-desk.svelte';

	let { data, children } = $props();

	const reload = () => invalidate('horarium:month');
	const keeping = getKeeping();
	const make = (input: DeskInput) => new MonthDesk(input);
	let desk = $state.raw(untrack(() => keeping.desk(data.desk, make)));
	setMonthDesk(() => desk);

	$effect.pre(() => {
		const input = data.desk;
		untrack(() => (desk = keeping.desk(input, make)));
	});
	$effect(() => {
		const opened = desk;
		return untrack(() => opened.open(reload));
	});

	function pressed(event: KeyboardEvent) {
		if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
		const key = event.key.toLowerCase();
		if (key !== 'z' && key !== 'y') return;
		event.preventDefault();
		if (key === 'y' || event.shiftKey) desk.redo();
		else desk.undo();
	}
</script>

<svelte:window onkeydown={pressed} onfocusout={() => desk.endStep()} />

{#if desk.trouble}
	<p role="alert" class="bg-caution-ground px-5 py-2 print:hidden">{desk.trouble}</p>
{/if}
{@render children()}
