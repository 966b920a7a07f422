<script lang="ts">
	import { untrack } from 'svelte';
	import type { passesOf, Step } from '$lib/core/guide';
	import type { Theme } from '$lib/core/theme';
	import StepColour from '../theme/StepColour.svelte';
	import type { DoneSteps } from './done-steps.svelte';

	interface Props {
		passes: ReturnType<typeof passesOf>;
		steps: readonly Step[];
		sentences: readonly string[];
		/** The step one is at. */
		at: number;
		done: DoneSteps;
		theme: Theme | undefined;
		onshow: (index: number) => void;
	}
	/** All steps of a page, pass by pass. */
	let { passes, steps, sentences, at, done, theme, onshow }: Props = $props();

	let list = $state<HTMLElement>();
	let shown = untrack(() => at);
	$effect(() => {
		if (at === shown) return;
		shown = at;
		list?.querySelector(`[data-step-at="${at}"]`)?.scrollIntoView({ block: 'nearest' });
	});
</script>

<div bind:this={list}>
	{#each passes as { pass, steps: own } (pass.id)}
		<h2 class="pt-3 text-lg">{pass.name}</h2>
		<ol class="flex flex-col">
			{#each own as index (index)}
				<li class="flex {index === at ? 'bg-chosen' : ''}" data-step-at={index}>
					<input
						type="checkbox"
						class="mx-2 mt-2.5 size-5 shrink-0 accent-calm"
						aria-label="Step {index + 1} is done"
						checked={done.has(index)}
						onchange={(event) => done.set([index], event.currentTarget.checked)}
					/>
					<button
						data-step
						class="flex w-full gap-3 border-l-4 px-2 py-1.5 text-left {index === at
							? 'border-calm'
							: 'border-transparent hover:bg-sheet'}"
						aria-current={index === at ? 'step' : undefined}
						onclick={() => onshow(index)}
					>
						<span class="w-6 shrink-0 text-right font-serif text-lg text-rubric">{index + 1}</span>
						<span class={done.has(index) ? 'text-ink-soft' : ''}
							>{sentences[index]}<StepColour step={steps[index]} {theme} /></span
						>
					</button>
				</li>
			{/each}
		</ol>
		<p class="border-l-4 border-hairline py-1 pl-3 text-ink-soft italic">{pass.then}</p>
	{/each}
</div>
