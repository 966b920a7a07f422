<script lang="ts">
	import { untrack } from 'svelte';
	import { getKeeping } from '$lib/ui/keeping/keeping.svelte';
	import { NotebookKeeper, type KeptNotebook } from '$lib/ui/keeping/notebook-keeper.svelte';
	import NotebookState from '$lib/ui/keeping/NotebookState.svelte';
	import MeasureByPicture from '$lib/ui/notebook/MeasureByPicture.svelte';
	import MeasureForm from '$lib/ui/notebook/MeasureForm.svelte';

	let { data } = $props();
	const keeping = getKeeping();
	const make = (kept: KeptNotebook) => new NotebookKeeper(kept);
	let keeper = $state.raw(untrack(() => keeping.notebook(data.record, make)));
	$effect.pre(() => {
		const { record } = data;
		untrack(() => (keeper = keeping.notebook(record, make)));
	});

	/** What is wrong is put right first. */
	function done(event: MouseEvent) {
		if (keeper.sound) return;
		event.preventDefault();
		document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
	}

	// What stood wrong in a field is gone with it.
	$effect(() => () => keeper.unmark());
</script>

<svelte:head><title>Measure {keeper.notebook.name} · Horarium</title></svelte:head>

<main id="main" class="mx-auto flex w-full max-w-7xl flex-1 flex-col gap-4 px-5 py-5">
	<div class="flex flex-wrap items-baseline gap-4">
		<h1 class="text-3xl">Measure {keeper.notebook.name}</h1>
		<NotebookState {keeper} />
		<a class="button ml-auto" href="/notebooks/{data.record.id}" onclick={done}>Done</a>
	</div>
	<MeasureForm {keeper} />
	<MeasureByPicture {keeper} />
</main>
