<script lang="ts">
	import type { Step } from '$lib/core/guide';
	import type { Theme } from '$lib/core/theme';
	import ToneSwatch from './ToneSwatch.svelte';

	/** The colour of a step that tints; nothing for any other one. */
	let { step, theme }: { step: Step | undefined; theme: Theme | undefined } = $props();
</script>

{#if step?.kind === 'tint' && step.tone !== 'art'}<ToneSwatch tone={step.tone} {theme} />{/if}
