<script lang="ts">
	import { verdicts as all, type Kept, type Review, type Verdict } from '$lib/core/next';
	import { fullness } from '$lib/core/records';
	import Select from '../fields/Select.svelte';
	import type { RecordsDesk } from './records-desk.svelte';
	import { fullWords, tallyWords } from './tally-words';

	interface Props {
		records: RecordsDesk;
		kept: readonly Kept[];
		unchanged: Review['unchanged'];
		locale: string;
		/** What the person says, by wish. */
		verdicts: Readonly<Record<string, Verdict>>;
		onverdict: (wish: string, verdict: Verdict | undefined) => void;
	}
	/** One line for each thing kept: what was used of it, and what the person says. */
	let { records, kept, unchanged, locale, verdicts, onverdict }: Props = $props();

	const words: Record<Verdict, string> = {
		keep: 'keep',
		smaller: 'smaller',
		larger: 'larger',
		rest: 'let it rest',
		drop: 'drop it'
	};
	const full = [
		{ value: '' as const, label: 'no answer' },
		...fullness.map((value) => ({ value, label: fullWords[value] }))
	];
	/** Of what nothing was written down, only this is asked. */
	const asks = ({ tracker, tally }: Kept) =>
		tallyWords(tally, locale).length === 0 && tracker.pages.length > 0;

	const options = [
		{ value: 'evidence' as const, label: 'as the records say' },
		...all.map((value) => ({ value, label: words[value] }))
	];
</script>

<h2 class="pt-4 pb-1 text-xl">Line by line</h2>
<p class="pb-2 text-sm text-ink-soft">
	Your answers count before the records. Dropping something is as good a choice as keeping it.
</p>
{#each kept as line (line.tracker.wish.id)}
	{@const { tracker, tally } = line}
	{@const said = fullness.find((value) => value === records.valueOf(tracker.wish.id, '')) ?? ''}
	{@const why = unchanged.find(({ wish }) => wish === tracker.wish.id)?.why}
	<div class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-hairline py-1.5">
		<Select
			label={tracker.name}
			beside
			value={verdicts[tracker.wish.id] ?? 'evidence'}
			{options}
			onchange={(value) => onverdict(tracker.wish.id, value === 'evidence' ? undefined : value)}
		/>
		{#if said || asks(line)}
			<Select
				label="How full was page {tracker.pages[0]}?"
				beside
				value={said}
				options={full}
				onchange={(value) =>
					records.change([{ wish: tracker.wish.id, about: '', holds: 'full', value }])}
			/>
		{/if}
		<span class="min-w-0 flex-1 basis-56 text-sm text-ink-soft"
			>{said ? '' : (tallyWords(tally, locale)[0] ?? 'Nothing was kept.')}
			{why ?? ''}</span
		>
	</div>
{/each}
