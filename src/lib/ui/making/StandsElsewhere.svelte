<script lang="ts">
	import { blocksOn } from '$lib/core/page';
	import Select from '../fields/Select.svelte';
	import { blockKey, blockName } from '../month/block-name';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { BlockMove } from '../page/block-move.svelte';
	import PlaceOfBlock from '../page/PlaceOfBlock.svelte';

	/** For a block that was drawn elsewhere than planned: where it stands now; the rest is planned around it. */
	let { desk, page }: { desk: MonthDesk; page: number } = $props();

	const move = $derived(new BlockMove(desk));
	const blocks = $derived(blocksOn(desk.run, page).filter((block) => move.can(block)));
	let chosen = $state<string>();
	const block = $derived(blocks.find((each) => blockKey(each) === chosen) ?? blocks[0]);
</script>

{#if block}
	<section class="pt-3" aria-label="Something is in another place">
		<p class="text-ink-soft">
			Did you begin something at another dot? Enter where it is, and the rest is planned around it.
		</p>
		<div class="max-w-md pt-1">
			{#if blocks.length > 1}
				<Select
					label="What is in another place"
					value={blockKey(block)}
					options={blocks.map((each) => ({ value: blockKey(each), label: blockName(each) }))}
					onchange={(key) => (chosen = key)}
				/>
			{:else}
				<p>{blockName(block)}</p>
			{/if}
			<PlaceOfBlock {desk} {move} {block} />
		</div>
	</section>
{/if}
