<script lang="ts">
	import type { Tone } from '$lib/core/draw';
	import type { Theme } from '$lib/core/theme';
	import { themeStyle } from '../page/theme-style';

	/** A drop of the colour that something is tinted with. */
	let { tone, theme }: { tone: Tone; theme: Theme | undefined } = $props();
</script>

<span
	class="ml-[0.3em] inline-block size-[0.9em] border border-ink-soft align-baseline"
	style="{themeStyle(theme) ?? ''}; background: var(--tint-{tone})"
	aria-hidden="true"
></span>
