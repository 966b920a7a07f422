<script lang="ts">
	import type { Snippet } from 'svelte';
	import { emptyRun, planOf } from '$lib/core/fit';
	import { checked, notebookSchema } from '$lib/core/formats';
	import { defaultHand } from '$lib/core/hand';
	import type { Notebook } from '$lib/core/paper';
	import SpreadPicture from '../page/SpreadPicture.svelte';

	let { notebook, overlay }: { notebook: Notebook; overlay?: Snippet<[page: number]> } = $props();

	/** The last notebook without faults: a half-typed number must not make the picture jump away. */
	let shown = $state.raw<Notebook>();
	$effect.pre(() => {
		if (checked(notebookSchema, notebook).ok) shown = notebook;
	});
	const plan = $derived(
		shown &&
			planOf({ month: '2000-01', weekStart: 'monday', aim: 'balanced', wishes: [] }, shown, {
				locale: 'en',
				hand: defaultHand
			})
	);
</script>

{#if plan}
	<SpreadPicture
		{plan}
		run={emptyRun}
		spread={{ left: 2, right: 3 }}
		ruler
		numbered={false}
		{overlay}
		label="The empty notebook, open, with its dots counted along the edges"
	/>
{/if}
