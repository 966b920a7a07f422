<script lang="ts">
	import { untrack } from 'svelte';
	import { pageKey, pageMarks, themeOn, type Plan, type Run } from '$lib/core/fit';
	import MarksPicture from './MarksPicture.svelte';
	import { themeStyle } from './theme-style';

	let { plan, run, page }: { plan: Plan; run: Run; page: number } = $props();

	const key = $derived(pageKey(plan, run, page));
	/** Drawn anew only when the key changes, which most keystrokes leave alone. */
	const marks = $derived(key === '' ? [] : untrack(() => pageMarks(plan, run, page)));
</script>

<g style={themeStyle(themeOn(plan, run, page))}>
	<MarksPicture {marks} hand={plan.hand} lang={plan.locale} />
</g>
