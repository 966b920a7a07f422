<script lang="ts">
	import { subjectKey, type FieldMark } from '$lib/core/draw';
	import { themeOn } from '$lib/core/page';
	import type { Tracker } from '$lib/core/records';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { themeStyle } from '../page/theme-style';
	import MarkSlice from './MarkSlice.svelte';
	import type { RecordsDesk } from './records-desk.svelte';
	import SliceFrame from './SliceFrame.svelte';

	interface Props {
		desk: MonthDesk;
		records: RecordsDesk;
		/** The page of one's own that they stand on. */
		name: string;
		/** Trackers that have one cell a day each, and the cell. */
		parts: readonly { readonly tracker: Tracker; readonly field: FieldMark }[];
		ontyped: (wish: string, field: FieldMark, text: string) => void;
	}
	/** Single cells of a day that stand on one page, side by side as they do there. */
	let { desk, records, name, parts, ontyped }: Props = $props();

	const page = $derived(parts[0]?.tracker.pages[0] ?? 0);

	/** What stands for done, as the page of a tracker says it. */
	function doneOf({ wish }: Tracker): string | undefined {
		const block = desk.run.blocks.find((one) => one.wish === wish.id);
		const done = block?.as.rules?.[block.form]?.done;
		return done === undefined ? undefined : String(done);
	}
</script>

<SliceFrame {name} where="page {page}" style={themeStyle(themeOn(desk.plan, desk.run, page))}>
	<div class="flex flex-wrap gap-x-2 gap-y-3">
		{#each parts as { tracker, field } (tracker.wish.id)}
			<MarkSlice
				{field}
				name={tracker.name}
				value={records.valueOf(tracker.wish.id, subjectKey(field.about))}
				done={doneOf(tracker)}
				locale={desk.plan.locale}
				onchange={(value) => ontyped(tracker.wish.id, field, value)}
			/>
		{/each}
	</div>
</SliceFrame>
