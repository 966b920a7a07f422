<script lang="ts">
	import { goto } from '$app/navigation';
	import { checked, notebookSchema } from '$lib/core/formats';
	import type { Notebook } from '$lib/core/paper';
	import { newNotebook } from '$lib/ui/notebook/new-notebook';
	import NotebookForm from '$lib/ui/notebook/NotebookForm.svelte';
	import { page } from '$app/state';
	import { parseMonth } from '$lib/core/month';
	import { send, textOf, troubleOf } from '$lib/ui/send';
	import { monthWords } from '$lib/ui/words';

	let notebook = $state.raw<Notebook>(newNotebook());
	let trouble = $state<string>();
	/** The month that is to be planned in it. */
	const asked = $derived(page.url.searchParams.get('month') ?? '');
	const month = $derived(parseMonth(asked));
	const result = $derived(checked(notebookSchema, notebook));

	async function add() {
		const answer = await send('POST', '/app/notebooks', notebook);
		if (answer.kind !== 'ok') {
			trouble = troubleOf(answer);
			return;
		}
		const planned = `/months?book=${textOf(answer.body, 'id')}&month=${asked}`;
		await goto(month ? planned : '/notebooks', { invalidateAll: true });
	}
</script>

<svelte:head><title>New notebook · Horarium</title></svelte:head>

<main id="main" class="mx-auto w-full max-w-6xl flex-1 px-5 py-6">
	<h1 class="pb-4 text-3xl">New notebook</h1>
	<NotebookForm {notebook} onchange={(next) => (notebook = next)} />
	{#if trouble}<p role="alert" class="mt-4 bg-caution-ground px-3 py-2">{trouble}</p>{/if}
	<button class="button button-main mt-6" disabled={!result.ok} onclick={add}
		>{month ? `Add it, and plan ${monthWords(month)} in it` : 'Add this notebook'}</button
	>
</main>
