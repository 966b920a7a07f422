<script lang="ts">
	import type { Remedy } from '$lib/core/fit';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk, wish }: { desk: MonthDesk; wish: string } = $props();

	let found = $state.raw<Remedy[]>([]);
	$effect(() => {
		// Every new run asks again; an answer that comes late is dropped.
		const { run } = desk;
		let late = false;
		void desk.remedies(wish).then((remedies) => {
			if (!late && run === desk.run) found = remedies;
		});
		return () => (late = true);
	});
</script>

{#if found.length > 0}
	<div class="flex flex-wrap items-center gap-2 pb-2 pl-8 text-sm">
		<span class="text-ink-soft">It would fit with</span>
		{#each found as remedy (remedy.text)}
			<button class="button min-h-8 text-sm" onclick={() => desk.change({ wishes: remedy.wishes })}
				>{remedy.text}</button
			>
		{/each}
	</div>
{/if}
