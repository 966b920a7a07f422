<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { plannablePages } from '$lib/core/paper';
	import { deleteWithUndo, setDeleted } from '$lib/ui/undo-toast';
	import Notices from '$lib/ui/shell/Notices.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Notebooks · Horarium</title></svelte:head>

<main id="main" class="mx-auto w-full max-w-4xl flex-1 px-5 py-6">
	<div class="flex items-baseline justify-between pb-4">
		<h1 class="text-3xl">Notebooks</h1>
		<a class="button button-main" href="/notebooks/new">Another notebook</a>
	</div>
	{#if data.notebooks.length === 0}
		<p>There is no notebook yet. Everything is counted on one: add it first.</p>
	{/if}
	<ul class="border-t border-hairline">
		{#each data.notebooks as { id, notebook } (id)}
			<li class="flex flex-wrap items-center gap-4 border-b border-hairline py-3">
				<a href="/notebooks/{id}" class="flex-1">
					<span class="block font-serif text-xl">{notebook.name}</span>
					<span class="text-ink-soft">
						{notebook.pageMm.width} × {notebook.pageMm.height} mm, {notebook.columns} × {notebook.rows}
						squares of {notebook.pitchMm} mm, {plannablePages(notebook).length} free pages
					</span>
				</a>
				<a class="button" href="/notebooks/{id}">Change</a>
				<button
					class="button button-quiet"
					aria-label="Delete {notebook.name}"
					onclick={() => deleteWithUndo(`/app/notebooks/${id}`, notebook.name, invalidateAll)}
					>Delete</button
				>
			</li>
		{/each}
	</ul>
	{#if data.deleted.length > 0}
		<h2 class="pt-8 pb-2 text-xl">Deleted</h2>
		<ul>
			{#each data.deleted as { id, notebook } (id)}
				<li class="flex items-center gap-4 py-1">
					<span class="text-ink-soft">{notebook.name}</span>
					<button
						class="button min-h-8"
						aria-label="Bring back {notebook.name}"
						onclick={() => setDeleted(`/app/notebooks/${id}`, false, invalidateAll)}
						>Bring back</button
					>
				</li>
			{/each}
		</ul>
	{/if}
</main>
<Notices />
