<script lang="ts">
	import { untrack } from 'svelte';
	import { labelsOf, type LabelSet } from '$lib/core/labels';
	import { squaresOnSheet } from '$lib/core/labels/label-art';
	import { usualSheet } from '$lib/core/render';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import LabelPrinter from '$lib/ui/labels/LabelPrinter.svelte';
	import { getMonthDesk } from '$lib/ui/month/month-desk.svelte';
	import MissingLetters from '$lib/ui/page/MissingLetters.svelte';
	import { lengthWords, monthWords } from '$lib/ui/words';

	let { data } = $props();
	const current = getMonthDesk();
	const desk = $derived(current());

	const names: readonly { readonly set: LabelSet; readonly name: string }[] = [
		{ set: 'dates', name: 'Dates' },
		{ set: 'weekdays', name: 'Weekdays' },
		{ set: 'names', name: 'Names of habits and other lines' },
		{ set: 'titles', name: 'Titles' }
	];
	let chosen = $state.raw<readonly LabelSet[]>(names.map(({ set }) => set));
	let high = $state<1 | 2 | 3>(1);
	let paper = $state(untrack(() => usualSheet(desk.plan.locale)));

	const pitchMm = $derived(desk.plan.notebook.pitchMm);
	const tapes = $derived(
		names
			.filter(({ set }) => chosen.includes(set))
			.map(({ set, name }) => {
				const labels = labelsOf(desk.plan, desk.run, set, high, squaresOnSheet(paper, pitchMm));
				let squares = 0;
				const cutsMm = labels.map(({ mark }) => (squares += mark.w) * pitchMm);
				return { set, name, labels, cutsMm, lengthMm: squares * pitchMm };
			})
	);
	const filled = $derived(tapes.filter(({ labels }) => labels.length > 0));
	const asked = $derived(`sets=${filled.map(({ set }) => set).join()}&high=${high}`);
	const revision = $derived(desk.saver.baseRevision);

	function choose(set: LabelSet, on: boolean) {
		chosen = on ? [...chosen, set] : chosen.filter((other) => other !== set);
	}
</script>

<svelte:head><title>Labels · {monthWords(desk.plan.month)} · Horarium</title></svelte:head>

<main id="main" class="grid flex-1 md:grid-cols-[minmax(17rem,24rem)_1fr]">
	<section
		aria-label="Which labels"
		class="flex flex-col gap-4 border-r border-hairline bg-sheet px-5 py-4"
	>
		<div>
			<p class="text-sm"><a class="underline" href="/months/{desk.id}/sheets">Sheets</a></p>
			<h1 class="text-3xl">Labels</h1>
		</div>
		<p class="text-ink-soft">
			Pieces to stick in, cut to whole squares of {lengthWords(pitchMm)}.
		</p>
		<fieldset class="flex flex-col gap-1">
			<legend class="pb-1 text-sm text-ink-soft">What they say</legend>
			{#each names as { set, name } (set)}
				<label class="flex items-center gap-2">
					<input
						type="checkbox"
						class="size-5 accent-calm"
						checked={chosen.includes(set)}
						onchange={(event) => choose(set, event.currentTarget.checked)}
					/>
					{name}
				</label>
			{/each}
		</fieldset>
		<Choice
			label="How high"
			value={String(high)}
			options={[
				{ value: '1', label: 'one square' },
				{ value: '2', label: 'two' },
				{ value: '3', label: 'three' }
			]}
			onchange={(value) => (high = value === '3' ? 3 : value === '2' ? 2 : 1)}
		/>
		<MissingLetters plan={desk.plan} run={desk.run} />
		{#if filled.length > 0}
			<h2 class="pt-2 text-xl">To cut with scissors</h2>
			<Choice
				label="Paper"
				value={paper}
				options={[
					{ value: 'a4', label: 'A4' },
					{ value: 'letter', label: 'US Letter' }
				]}
				onchange={(value) => (paper = value)}
			/>
			<div class="flex flex-wrap gap-2">
				{#each ['pdf', 'svg'] as kind (kind)}
					<a
						class="button"
						href="/app/months/{desk.id}/labels.{kind}?{asked}&paper={paper}"
						target="_blank"
						rel="noopener"
						data-sveltekit-reload>{kind === 'pdf' ? 'Sheet (PDF)' : 'Sheet in mm (SVG)'}</a
					>
				{/each}
			</div>
			<LabelPrinter {desk} sets={filled} {high} address={data.printer} />
		{/if}
	</section>
	<section aria-label="The labels" class="flex min-w-0 flex-col gap-6 px-5 py-5">
		{#each tapes as { set, name, labels, cutsMm, lengthMm } (set)}
			<div class="min-w-0">
				<h2 class="text-xl">
					{name}
					<span class="text-base text-ink-soft"
						>{labels.length === 0
							? ''
							: `${labels.length} labels, ${lengthWords(lengthMm)} long together`}</span
					>
				</h2>
				{#if labels.length === 0}
					<p class="text-ink-soft">The month has nothing to put on them.</p>
				{:else}
					<!-- What is too long is reached by keys. -->
					<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
					<div
						class="overflow-x-auto py-2"
						role="region"
						aria-label="{name}, as they are printed"
						tabindex="0"
					>
						<div class="tape" style="--length: {lengthMm}mm; --height: {high * pitchMm}mm">
							<img
								src="/app/months/{desk.id}/tape.bmp?sets={set}&high={high}&revision={revision}"
								alt={labels.map(({ mark }) => mark.text).join(', ')}
							/>
							{#each cutsMm as cutMm (cutMm)}
								<span class="cut" style="left: {cutMm}mm"></span>
							{/each}
						</div>
					</div>
				{/if}
			</div>
		{:else}
			<p class="max-w-lg py-10 text-lg">Choose what the labels are to say.</p>
		{/each}
	</section>
</main>

<style>
	.tape {
		position: relative;
		width: var(--length);
		height: var(--height);
		background: #fff;
		box-shadow: 0.1rem 0.15rem 0 var(--shadow);
	}
	.tape img {
		width: 100%;
		max-width: none;
		height: 100%;
	}
	.cut {
		position: absolute;
		top: -1mm;
		bottom: -1mm;
		border-left: 1px dashed var(--rubric);
	}
</style>
