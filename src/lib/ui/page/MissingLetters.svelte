<script lang="ts">
	import { pageKey, pageMarks, type Plan, type Run } from '$lib/core/fit';
	import { missingLetters, type Coverage } from '$lib/core/hand';
	import { getCoverage } from '$lib/ui/fonts.svelte';

	interface Props {
		plan: Plan;
		run: Run;
		/** Pages that are looked at; all of the run by default. */
		pages?: readonly number[];
	}
	let { plan, run, pages }: Props = $props();
	const coverage = getCoverage();
	const mostShown = 12;

	const missing = $derived.by(() => {
		// Marks are dear, and hardly a month has such letters: what was typed tells first.
		const typed = JSON.stringify([plan.wishes, plan.drawn, plan.locale]);
		const odd = [...new Set(typed.match(/[^\x20-\x7e]/gu))].join('');
		const plain = /^en\b/.test(plan.locale);
		if (plain && missingLetters([{ text: odd, style: 'hand' }], coverage()).length === 0) return [];
		const numbers = pages ?? run.pages.map(({ number }) => number);
		return [...new Set(numbers.flatMap((page) => missingOn(page)))];
	});

	/** What was found of pages as they are drawn: most stay as they are from one run to the next. */
	let known = new Map<string, readonly string[]>();
	let knownFor: Coverage | undefined;
	const mostKnown = 500;

	function missingOn(page: number): readonly string[] {
		if (knownFor !== coverage() || known.size > mostKnown) known = new Map();
		knownFor = coverage();
		const key = pageKey(plan, run, page);
		const found =
			known.get(key) ??
			missingLetters(
				pageMarks(plan, run, page).flatMap((mark) => (mark.kind === 'text' ? [mark] : [])),
				coverage()
			);
		known.set(key, found);
		return found;
	}
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
