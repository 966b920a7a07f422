<script lang="ts">
	import type { Portion, Step } from '$lib/core/guide';
	import type { Theme } from '$lib/core/theme';
	import StepColour from '../theme/StepColour.svelte';

	interface Props {
		portion: Portion;
		index: number;
		/** Portions of the page, and how many of them are done. */
		count: number;
		doneCount: number;
		/** All steps of the page and what each says. */
		steps: readonly Step[];
		sentences: readonly string[];
		theme: Theme | undefined;
		done: boolean;
		/** What the pass says when it ends with this portion. */
		then: string | undefined;
		onback: () => void;
		ondone: () => void;
	}
	/** What the hand does now, in one go, large enough to be read beside the book. */
	let {
		portion,
		index,
		count,
		doneCount,
		steps,
		sentences,
		theme,
		done,
		then,
		onback,
		ondone
	}: Props = $props();

	const [first, ...rest] = $derived(portion.steps);
</script>

<p class="pt-2 text-ink-soft" role="status">Part {index + 1} of {count}, {doneCount} done</p>
<h2 class="text-xl">{portion.name}</h2>
<div class="py-2" aria-current="step" aria-live="polite">
	{#if first !== undefined}
		<p class="font-serif text-3xl leading-snug">
			{sentences[first]}<StepColour step={steps[first]} {theme} />
		</p>
	{/if}
	{#if rest.length > 0}
		<ol
			class="flex max-h-[40dvh] list-decimal flex-col gap-1.5 overflow-auto pt-2 pl-6 text-lg"
			start="2"
		>
			{#each rest as step (step)}
				<li>{sentences[step]}<StepColour step={steps[step]} {theme} /></li>
			{/each}
		</ol>
	{/if}
</div>
{#if then}
	<p class="border-l-4 border-hairline py-1 pl-3 text-ink-soft italic">{then}</p>
{/if}
<div class="flex flex-wrap gap-3 py-3 max-md:sticky max-md:bottom-12 max-md:bg-desk">
	<button class="button min-h-14 px-6 text-xl" disabled={index === 0} onclick={onback}>Back</button>
	<button
		class="button button-main min-h-14 flex-1 px-6 text-xl"
		data-step
		data-done
		onclick={ondone}>{done ? 'Next' : 'Done'}</button
	>
</div>
