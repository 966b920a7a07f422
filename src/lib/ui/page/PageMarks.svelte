<script lang="ts">
	import { untrack } from 'svelte';
	import type { Mark } from '$lib/core/draw';
	import { type Plan, type Run } from '$lib/core/fit';
	import { pageKey, pageMarks, themeOn } from '$lib/core/page';
	import MarksPicture from './MarksPicture.svelte';
	import { themeStyle } from './theme-style';

	interface Props {
		plan: Plan;
		run: Run;
		page: number;
		/** What is drawn stays as it is, whatever changes. */
		still: boolean;
	}
	let { plan, run, page, still }: Props = $props();

	let drawn: readonly Mark[] = [];
	let drawnKey = '';
	/** Drawn anew only when the key changes, which most keystrokes leave alone. */
	const key = $derived(still ? drawnKey : pageKey(plan, run, page));
	const marks = $derived.by(() => {
		if (key !== drawnKey) {
			drawnKey = key;
			drawn = untrack(() => pageMarks(plan, run, page));
		}
		return drawn;
	});
</script>

<g style={themeStyle(themeOn(plan, run, page))}>
	<MarksPicture {marks} hand={plan.hand} lang={plan.locale} />
</g>
