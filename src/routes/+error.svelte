<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Horarium</title></svelte:head>

<main id="main" class="mx-auto flex max-w-xl flex-1 flex-col items-start justify-center gap-4 p-6">
	<h1 class="text-4xl">
		{page.status === 404 ? 'This page is not in the book' : 'Something went wrong'}
	</h1>
	<p>{page.error?.message}</p>
	<a class="button button-main" href="/">Back to the month</a>
</main>
