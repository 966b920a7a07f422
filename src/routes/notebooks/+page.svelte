<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { plannablePages } from '$lib/core/paper';
	import BookBar from '$lib/ui/notebook/BookBar.svelte';
	import { lastPage } from '$lib/ui/notebook/book-segments';
	import Notices from '$lib/ui/shell/Notices.svelte';
	import { deleteWithUndo, setDeleted } from '$lib/ui/undo-toast';
	import { monthWords } from '$lib/ui/words';

	let { data } = $props();

	const longest = $derived(Math.max(...data.notebooks.map(({ notebook }) => lastPage(notebook))));
</script>

<svelte:head><title>Books · Horarium</title></svelte:head>

<main id="main" class="mx-auto w-full max-w-6xl flex-1 px-5 py-5">
	<div class="flex flex-wrap items-start justify-between gap-3 pb-4">
		<div>
			<h1 class="text-3xl">Books</h1>
			{#if data.notebooks.length > 0}
				<p class="text-ink-soft">
					Each bar is a book, each stripe two pages. Tinted is planned, filled is drawn, grey is
					kept out.
				</p>
			{/if}
		</div>
		<a class="button button-main" href="/notebooks/new">Begin another book</a>
	</div>
	{#if data.notebooks.length === 0}
		<p>There is no book yet. Everything is counted on one: add it first.</p>
	{/if}
	<ul class="flex flex-col">
		{#each data.notebooks as { id, notebook, held } (id)}
			<li
				class="group grid items-center gap-x-6 gap-y-2 border-t border-hairline py-4 lg:grid-cols-[14rem_1fr_8rem]"
			>
				<div>
					<a href="/notebooks/{id}" class="font-serif text-xl hover:underline">{notebook.name}</a>
					<p class="text-ink-soft">
						{notebook.columns} × {notebook.rows} squares of {notebook.pitchMm} mm,
						{#await held}
							{plannablePages(notebook).length} free
						{:then book}
							<span class="text-rubric">{book?.left ?? plannablePages(notebook).length}</span> free
						{/await}
					</p>
				</div>
				<div class="min-w-0 overflow-x-auto pr-3">
					{#await held}
						<BookBar {notebook} months={[]} {longest} />
					{:then book}
						<BookBar {notebook} months={book?.months ?? []} {longest} />
					{/await}
				</div>
				<div class="flex flex-wrap gap-x-3 gap-y-1 lg:flex-col">
					{#await held then book}
						{#if book?.fullIn}<p class="text-ink-soft">full in {monthWords(book.fullIn)}</p>{/if}
					{/await}
					<a
						class="self-start underline decoration-hairline underline-offset-4"
						href="/months?book={id}">Plan in it</a
					>
					<button
						class="self-start text-ink-soft underline decoration-hairline underline-offset-4"
						aria-label="Delete {notebook.name}"
						onclick={() => deleteWithUndo(`/app/notebooks/${id}`, notebook.name, invalidateAll)}
						>Delete</button
					>
				</div>
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
