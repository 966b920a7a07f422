<script lang="ts">
	import type { Remedy } from '$lib/core/fit';
	import { focusOn } from '../focus';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk, wish }: { desk: MonthDesk; wish: string } = $props();

	let found = $state.raw<Remedy[]>([]);
	$effect(() => {
		// Every new run asks again; an answer that comes late is dropped.
		const { run, opened } = desk;
		if (!opened) return;
		let late = false;
		void desk.remedies(wish).then((remedies) => {
			if (!late && run === desk.run) found = remedies;
		});
		return () => (late = true);
	});

	function accept(remedy: Remedy) {
		desk.change({ wishes: remedy.wishes });
		void focusOn(`[data-wish="${wish}"]`);
	}
</script>

{#if found.length > 0}
	<div class="flex flex-wrap items-center gap-2 pb-2 pl-8 text-sm">
		<span class="text-ink-soft">It would fit with</span>
		{#each found as remedy, index (index)}
			<button class="button min-h-8 text-sm" onclick={() => accept(remedy)}>{remedy.text}</button>
		{/each}
	</div>
{/if}
