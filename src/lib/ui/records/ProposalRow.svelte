<script lang="ts">
	import type { Plan, Run } from '$lib/core/fit';
	import type { Proposal } from '$lib/core/next';
	import { spreadOf } from '$lib/core/paper';
	import Check from '../fields/Check.svelte';
	import SpreadPicture from '../page/SpreadPicture.svelte';

	/** A month as it would be; without a run until that is worked out. */
	interface Would {
		readonly plan: Plan;
		readonly run: Run | undefined;
	}
	interface Props {
		proposal: Proposal;
		taken: boolean;
		onturn: () => void;
		before: Would;
		after: Would;
	}
	/** A change to the next month: what, why, what it costs in pages, and both drawn side by side. */
	let { proposal, taken, onturn, before, after }: Props = $props();

	const cost = $derived.by(() => {
		if (!before.run || !after.run) return '…';
		if (after.run.unplaced.length > before.run.unplaced.length) return 'finds no place';
		const by = after.run.pagesUsed - before.run.pagesUsed;
		const pages = `${Math.abs(by)} ${Math.abs(by) === 1 ? 'page' : 'pages'}`;
		return by === 0 ? 'same number of pages' : by > 0 ? `${pages} more` : `saves ${pages}`;
	});

	/** The spread on which the block in question stands. */
	function spreadIn({ run }: Would) {
		const block = run?.blocks.find(({ wish }) => wish === proposal.wish);
		return block && spreadOf(block.pieces[0].page);
	}
</script>

<li
	class="grid gap-x-6 gap-y-2 border-t border-hairline py-3 md:grid-cols-[minmax(0,1fr)_minmax(0,30rem)]"
>
	<div>
		<span class="font-serif text-xl">
			<Check label={proposal.what} checked={taken} onchange={onturn} />
		</span>
		<p class="pl-7 text-ink-soft">{proposal.why}</p>
		<p class="pl-7 text-sm">{cost}</p>
	</div>
	<div class="grid grid-cols-2 gap-3 pl-7 md:pl-0">
		{#each [{ name: 'Before', month: before }, { name: 'After', month: after }] as { name, month } (name)}
			{@const spread = spreadIn(month)}
			<figure>
				<figcaption class="text-sm text-ink-soft">{name}</figcaption>
				{#if month.run && spread}
					<SpreadPicture
						plan={month.plan}
						run={month.run}
						{spread}
						label="{name}: pages {spread.left} and {spread.right}"
					/>
				{:else}
					<p class="py-2 text-sm text-ink-soft">
						{month.run ? 'It is not there.' : 'It is being drawn …'}
					</p>
				{/if}
			</figure>
		{/each}
	</div>
</li>
