<script lang="ts">
	import type { Plan, Run } from '$lib/core/fit';
	import { missingLetters } from '$lib/core/hand';
	import { getCoverage } from '$lib/ui/fonts.svelte';
	import { rememberedLetters } from './missing-letters';

	interface Props {
		plan: Plan;
		run: Run;
		/** Pages that are looked at; all of the run by default. */
		pages?: readonly number[];
	}
	let { plan, run, pages }: Props = $props();
	const coverage = getCoverage();
	const mostShown = 12;
	const lettersOn = rememberedLetters();

	const missing = $derived.by(() => {
		// Marks are dear, and hardly a month has such letters: what was typed tells first.
		const typed = JSON.stringify([plan.wishes, plan.drawn, plan.locale]);
		const odd = [...new Set(typed.match(/[^\x20-\x7e]/gu))].join('');
		const plain = /^en\b/.test(plan.locale);
		if (plain && missingLetters([{ text: odd, style: 'hand' }], coverage()).length === 0) return [];
		const numbers = pages ?? run.pages.map(({ number }) => number);
		return [...new Set(numbers.flatMap((page) => lettersOn(plan, run, page, coverage())))];
	});
</script>

{#if missing.length > 0}
	<p role="status" class="border-l-4 border-caution bg-caution-ground px-3 py-2 print:hidden">
		No font here has the {missing.length === 1 ? 'letter' : 'letters'}
		<bdi>{missing.slice(0, mostShown).join(' ')}</bdi>{missing.length > mostShown
			? ` and ${missing.length - mostShown} more`
			: ''}. Their room stays free on pictures and sheets, for your hand; or
		<a class="underline" href="/notebooks/hand#letters">add a font that has them</a>.
	</p>
{/if}
