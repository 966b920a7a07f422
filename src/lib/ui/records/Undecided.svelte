<script lang="ts">
	import { subjectOf } from '$lib/core/draw';
	import type { MonthShape } from '$lib/core/month';
	import type { Entry, Tracker } from '$lib/core/records';
	import { subjectWords } from './field-words';
	import type { RecordsDesk } from './records-desk.svelte';

	interface Props {
		records: RecordsDesk;
		trackers: readonly Tracker[];
		shape: MonthShape;
	}
	/** What was filled in over something that had changed meanwhile, or cannot be kept: each is a choice. */
	let { records, trackers, shape }: Props = $props();

	const all = $derived([...records.undecided.values()]);

	function nameOf({ wish, about }: Entry): string {
		const tracker = trackers.find((one) => one.wish.id === wish)?.name ?? wish;
		return subjectWords(subjectOf(about) ?? {}, tracker, shape);
	}
	const said = (value: string) => (value === '' ? 'nothing' : `“${value}”`);
	const when = (at: string) =>
		new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
</script>

{#if all.length > 0}
	<section
		role="alert"
		aria-label="To be decided"
		class="my-2 max-w-4xl bg-caution-ground px-3 py-2"
	>
		{#each all as one (one.queued.id)}
			{@const { change, at } = one.queued}
			<div class="flex flex-wrap items-center gap-3 py-1">
				{#if one.kind === 'conflict'}
					<p class="flex-1">
						<strong>{nameOf(change)}</strong>: you wrote {said(change.value)} here on {when(at)}. It
						was changed elsewhere, to {said(one.now)}.
					</p>
					<button class="button" onclick={() => records.takeMine(one)}
						>Use {said(change.value)}</button
					>
					<button class="button" onclick={() => records.takeTheirs(one)}
						>Keep {said(one.now)}</button
					>
				{:else}
					<p class="flex-1">
						<strong>{nameOf(change)}</strong>: {said(change.value)} of {when(at)} cannot be saved.
						{one.says}
					</p>
					<button class="button" onclick={() => records.takeTheirs(one)}>Discard it</button>
				{/if}
			</div>
		{/each}
	</section>
{/if}
