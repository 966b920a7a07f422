<script lang="ts">
	import { onDestroy, untrack } from 'svelte';
	import { readLabelPrinter, type LabelPrinter } from '$lib/core/formats/outside/label-printer';
	import { squaresAcross, type Label, type LabelSet } from '$lib/core/labels';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { send, troubleOf } from '../send';
	import AddressForm from '../share/AddressForm.svelte';
	import { askOutside } from '../share/outside';
	import { lengthWords } from '../words';

	interface Props {
		desk: MonthDesk;
		sets: readonly {
			readonly set: LabelSet;
			readonly labels: readonly Label[];
			readonly lengthMm: number;
		}[];
		high: number;
		/** Where the printer was the last time. */
		address: string;
	}
	/** Prints labels one by one; where the printer stops, what is left can be printed later. */
	let { desk, sets, high, address }: Props = $props();

	let asked = $state(untrack(() => address));
	let printer = $state.raw<LabelPrinter>();
	let told = $state<string>();
	let working = $state(false);
	let stopped = false;
	/** Labels that came out. */
	let done = $state(0);

	const pitchMm = $derived(desk.plan.notebook.pitchMm);
	const queue = $derived(
		sets.flatMap(({ set, labels }) => labels.map((label, index) => ({ set, index, label })))
	);
	/** Another choice is another roll of labels. */
	const choice = $derived(`${high} ${sets.map(({ set }) => set).join()}`);
	$effect(() => {
		void choice;
		untrack(() => (done = 0));
	});
	const leftMm = $derived(
		queue.slice(done).reduce((sum, { label }) => sum + label.mark.w * pitchMm, 0)
	);
	const across = $derived(printer ? squaresAcross(printer.tapeMm, pitchMm) : undefined);
	const tooHigh = $derived(across !== undefined && high > across);

	async function look() {
		told = 'The printer is being asked …';
		printer = undefined;
		const answer = await askOutside('printer', asked, '/status');
		told = answer.kind === 'trouble' ? answer.says : undefined;
		if (answer.kind !== 'text') return;
		printer = readLabelPrinter(answer.text);
		if (!printer) told = 'What is at this address is no label printer.';
	}

	async function print() {
		working = true;
		stopped = false;
		told = undefined;
		for (let next = queue[done]; next && !stopped; next = queue[done]) {
			const answer = await send('POST', `/app/months/${desk.id}/labels`, {
				address: asked,
				set: next.set,
				high,
				label: next.index
			});
			if (answer.kind !== 'ok') {
				told = `${troubleOf(answer)} ${done} of ${queue.length} are printed; the next one is “${next.label.mark.text}”.`;
				break;
			}
			done++;
		}
		working = false;
		if (done === queue.length) {
			told = `All ${queue.length} labels are printed.`;
			done = 0;
		}
	}

	onDestroy(() => (stopped = true));
</script>

<h2 class="pt-2 text-xl">From a label printer</h2>
<AddressForm bind:value={asked} disabled={working} onask={look} />
{#if printer && across !== undefined}
	<p>
		Its tape of {lengthWords(printer.tapeMm)} holds {across === 1
			? 'one square'
			: `${across} squares`}
		of {lengthWords(pitchMm)}; {lengthWords(printer.leftMm)} of it are left. These labels take
		{lengthWords(leftMm)}.
	</p>
	{#if tooHigh}
		<p class="text-caution" role="alert">
			Labels of {high} squares are {lengthWords(high * pitchMm)} high, and the tape is {lengthWords(
				printer.tapeMm
			)} wide: make them {across === 1 ? 'one square' : `${across} squares`} high, or cut them with scissors.
		</p>
	{:else if leftMm > printer.leftMm}
		<p class="text-caution" role="status">
			The tape ends before them: have a new one at hand. It goes on where it stopped.
		</p>
	{/if}
	{#if working}
		<div class="flex items-center gap-3">
			<progress
				class="h-2 flex-1 accent-calm"
				value={done}
				max={queue.length}
				aria-label="Labels printed"
			></progress>
			<span role="status" class="whitespace-nowrap">{done} of {queue.length}</span>
			<button class="button" onclick={() => (stopped = true)}>Stop</button>
		</div>
	{:else if !tooHigh}
		<p>
			<button class="button button-main" onclick={print}
				>{done > 0
					? `Go on with the other ${queue.length - done}`
					: `Print ${queue.length} labels`}</button
			>
		</p>
	{/if}
{/if}
{#if told}<p role="status">{told}</p>{/if}
