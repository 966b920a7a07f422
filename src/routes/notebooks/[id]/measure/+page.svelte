<script lang="ts">
	import { untrack } from 'svelte';
	import KeeperNotice from '$lib/ui/notebook/KeeperNotice.svelte';
	import MeasureForm from '$lib/ui/notebook/MeasureForm.svelte';
	import { NotebookKeeper } from '$lib/ui/notebook/notebook-keeper.svelte';

	let { data } = $props();
	const keeper = new NotebookKeeper(untrack(() => data.record));
</script>

<svelte:head><title>Measure {keeper.notebook.name} · Horarium</title></svelte:head>

<main id="main" class="mx-auto flex w-full max-w-7xl flex-1 flex-col gap-4 px-5 py-5">
	<div class="flex flex-wrap items-baseline gap-4">
		<h1 class="text-3xl">Measure {keeper.notebook.name}</h1>
		<KeeperNotice {keeper} latest={() => data.record} />
		<a class="button ml-auto" href="/notebooks/{data.record.id}">Done</a>
	</div>
	<MeasureForm {keeper} />
</main>
