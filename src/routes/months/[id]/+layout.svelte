<script lang="ts">
	import { beforeNavigate, invalidate } from '$app/navigation';
	import { untrack } from 'svelte';
	import { MonthDesk, setMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import SaveNotice from '$lib/ui/month/SaveNotice.svelte';

	let { data, children } = $props();

	const reload = () => invalidate('horarium:month');
	let desk = $state.raw(untrack(() => new MonthDesk(data.desk)));
	setMonthDesk(() => desk);

	$effect.pre(() => {
		const input = data.desk;
		untrack(() => {
			if (input.id !== desk.id) desk = new MonthDesk(input);
			else if (desk.saver.settled || desk.saver.state.kind === 'conflict') desk.adopt(input);
		});
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

	beforeNavigate((navigation) => {
		// The browser asks whether to stay when something shown is not kept yet.
		if (navigation.willUnload && !desk.saver.settled) navigation.cancel();
	});
</script>

<svelte:window onkeydown={pressed} />

<SaveNotice {desk} {reload} />
{@render children()}
