<script lang="ts">
	import { untrack } from 'svelte';
	import BookForm from '$lib/ui/notebook/BookForm.svelte';
	import BookOutlook from '$lib/ui/notebook/BookOutlook.svelte';
	import { getKeeping } from '$lib/ui/keeping/keeping.svelte';
	import { NotebookKeeper, type KeptNotebook } from '$lib/ui/keeping/notebook-keeper.svelte';
	import NotebookState from '$lib/ui/keeping/NotebookState.svelte';
	import NotebookForm from '$lib/ui/notebook/NotebookForm.svelte';

	import PhotographRow from '$lib/ui/records/PhotographRow.svelte';
	import { monthWords } from '$lib/ui/words';

	let { data } = $props();
	const keeping = getKeeping();
	const make = (kept: KeptNotebook) => new NotebookKeeper(kept);
	let keeper = $state.raw(untrack(() => keeping.notebook(data.record, make)));
	$effect.pre(() => {
		const { record } = data;
		untrack(() => (keeper = keeping.notebook(record, make)));
	});
</script>

<svelte:head><title>{keeper.notebook.name} · Horarium</title></svelte:head>

<main id="main" class="mx-auto flex w-full max-w-6xl flex-1 flex-col gap-6 px-5 py-5">
	<div class="flex flex-wrap items-baseline gap-4">
		<h1 class="text-3xl">{keeper.notebook.name}</h1>
		<NotebookState {keeper} />
		<a class="button ml-auto" href="/notebooks/{data.record.id}/measure">Measure it with a ruler</a>
	</div>
	<NotebookForm
		notebook={keeper.notebook}
		withPages={false}
		onchange={(notebook) => keeper.change(notebook)}
	/>
	<div class="grid gap-8 border-t border-hairline pt-5 md:grid-cols-[minmax(22rem,30rem)_1fr]">
		<BookForm {keeper} />
		<BookOutlook
			id={data.record.id}
			notebook={keeper.notebook}
			planned={data.planned}
			left={data.left}
			along={data.along}
		/>
	</div>
	{#if data.photographs.length > 0}
		<PhotographRow
			photographs={data.photographs}
			locale={data.locale}
			nameOf={({ monthId }) => {
				const month = data.planned.find(({ id }) => id === monthId)?.month;
				return month ? monthWords(month) : '';
			}}
		/>
	{/if}
</main>
