<script lang="ts">
	import { beforeNavigate, invalidateAll } from '$app/navigation';
	import { untrack } from 'svelte';
	import { checked, notebookSchema } from '$lib/core/formats';
	import type { Notebook } from '$lib/core/paper';
	import { Saver, type Sent } from '$lib/ui/month/saver.svelte';
	import NotebookForm from '$lib/ui/notebook/NotebookForm.svelte';
	import { numberOf, send } from '$lib/ui/send';

	let { data } = $props();

	let notebook = $state.raw<Notebook>(untrack(() => data.record.notebook));
	let faulty = $state(false);
	const saver = new Saver<Notebook>(
		untrack(() => data.record.revision),
		put,
		() => undefined
	);
	$effect(() => () => saver.close());

	async function put(revision: number, content: Notebook): Promise<Sent> {
		const answer = await send('PUT', `/app/notebooks/${data.record.id}`, {
			revision,
			notebook: content
		});
		if (answer.kind === 'refused' || answer.kind === 'unreached') return answer;
		const kept = numberOf(answer.body, 'revision');
		if (kept === undefined) return { kind: 'refused', message: 'The answer has no revision.' };
		return answer.kind === 'ok'
			? { kind: 'written', revision: kept }
			: { kind: 'conflict', revision: kept };
	}

	function change(next: Notebook) {
		notebook = next;
		const result = checked(notebookSchema, next);
		faulty = !result.ok;
		if (result.ok) saver.write(result.value);
	}

	async function takeTheirs() {
		await invalidateAll();
		notebook = data.record.notebook;
		saver.adopt(data.record.revision);
	}

	beforeNavigate((navigation) => {
		if (navigation.willUnload && !saver.settled) navigation.cancel();
	});
</script>

<svelte:head><title>{notebook.name} · Horarium</title></svelte:head>

<main id="main" class="mx-auto w-full max-w-6xl flex-1 px-5 py-6">
	<div class="flex items-baseline gap-4 pb-4">
		<h1 class="text-3xl">{notebook.name}</h1>
		<p class="text-sm text-ink-soft" role="status" data-testid="save-state">
			{#if faulty}Not saved until the marked number is put right
			{:else if saver.state.kind === 'saved'}Saved
			{:else if saver.state.kind === 'saving'}Saving …
			{:else}Not saved{/if}
		</p>
	</div>
	{#if saver.state.kind === 'conflict'}
		<div role="alert" class="mb-4 flex flex-wrap items-center gap-3 bg-caution-ground px-3 py-2">
			<p>This notebook was changed in another window.</p>
			<button class="button" onclick={() => saver.overwrite(notebook)}>Keep what is here</button>
			<button class="button" onclick={takeTheirs}>Take the other</button>
		</div>
	{:else if saver.state.kind === 'failed'}
		<div role="alert" class="mb-4 flex flex-wrap items-center gap-3 bg-caution-ground px-3 py-2">
			<p><strong>Not saved.</strong> {saver.state.message}</p>
			<button class="button" onclick={() => saver.retry()}>Try again</button>
		</div>
	{/if}
	<NotebookForm {notebook} onchange={change} />
</main>
