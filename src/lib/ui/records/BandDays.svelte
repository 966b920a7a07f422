<script lang="ts">
	import { untrack } from 'svelte';
	import { readBand, type BandRead } from '$lib/core/formats/outside/band';
	import { daysIn, formatMonth } from '$lib/core/month';
	import type { Tracker } from '$lib/core/records';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import AddressForm from '../share/AddressForm.svelte';
	import { askOutside } from '../share/outside';
	import type { RecordsDesk } from './records-desk.svelte';

	interface Props {
		desk: MonthDesk;
		records: RecordsDesk;
		tracker: Tracker;
		/** Where the band was the last time. */
		address: string;
	}
	/** Days of a step and sleep band, looked at before they are written in. */
	let { desk, records, tracker, address }: Props = $props();

	let asked = $state(untrack(() => address));
	let told = $state<string>();
	let found = $state.raw<Extract<BandRead, { ok: true }>>();

	async function ask() {
		const { month } = desk.plan;
		found = undefined;
		told = 'The band is being asked …';
		const first = formatMonth(month);
		const answer = await askOutside(
			'band',
			asked,
			`/days?from=${first}-01&to=${first}-${daysIn(month)}`
		);
		if (answer.kind !== 'text') {
			told = answer.kind === 'trouble' ? `${answer.says} Nothing was taken.` : undefined;
			return;
		}
		const read = readBand(answer.text, tracker, month, records.known);
		if (!read.ok) {
			const [fault] = read.faults;
			told = `What it answers cannot be read: ${fault ? `${fault.path} ${fault.message}` : ''}. Nothing was taken.`;
			return;
		}
		told = undefined;
		found = read;
	}

	function take() {
		if (!found) return;
		const { changes } = found;
		records.change(changes);
		found = undefined;
		told = `${changes.length} days were written in. Undo takes them away again.`;
	}

	const listed = (days: readonly number[]) => days.join(', ');
</script>

<details class="mt-4 border-t border-hairline pt-3">
	<summary class="cursor-pointer font-serif text-lg">From a band</summary>
	<AddressForm bind:value={asked} onask={ask} />
	{#if told}<p role="status" class="pb-2">{told}</p>{/if}
	{#if found}
		<p role="status">
			{found.changes.length} days would be written in{found.gaps.length > 0
				? `; it has nothing of ${listed(found.gaps)}, which stay blank`
				: ''}{found.other.length > 0
				? `; on ${listed(found.other)} something else stands already, and stays`
				: ''}.
		</p>
		<p class="pt-2">
			<button class="button button-main" disabled={found.changes.length === 0} onclick={take}
				>Write them in</button
			>
		</p>
	{/if}
</details>
