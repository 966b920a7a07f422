<script lang="ts">
	import { onMount } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { keepHere, keptHere } from '$lib/ui/shell/kept-in-window';

	/** So often a screen is asked for again by itself, and so long after it was refused. */
	const mostTries = 2;
	const againMs = 2000;

	const busy = $derived(page.status === 503);
	let tries = $state(mostTries);

	onMount(() => {
		if (!busy) return;
		const name = `horarium tries ${page.url.pathname}`;
		tries = Number(keptHere(name) ?? 0);
		if (tries >= mostTries) {
			keepHere(name, undefined);
			return;
		}
		const timer = setTimeout(() => {
			keepHere(name, String(tries + 1));
			location.reload();
		}, againMs);
		return () => clearTimeout(timer);
	});
</script>

<svelte:head><title>{page.status} · Horarium</title></svelte:head>

<main id="main" class="mx-auto flex max-w-xl flex-1 flex-col items-start justify-center gap-4 p-6">
	<h1 class="text-4xl">
		{page.status === 404
			? 'This page is not in the book'
			: busy
				? 'One moment'
				: 'Something went wrong'}
	</h1>
	<p>{page.error?.message}</p>
	{#if busy && tries < mostTries}
		<p role="status">Trying again …</p>
	{:else if busy}
		<button class="button button-main" onclick={() => invalidateAll()}>Try again</button>
	{/if}
	<a class="button" class:button-main={!busy} href="/">Back to the month</a>
</main>
