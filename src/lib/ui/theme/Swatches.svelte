<script lang="ts">
	import { keyColours, paperColour, roles, type Theme } from '$lib/core/theme';

	/** The colours of a theme side by side on paper, the first states of a key in the last one. */
	let { theme }: { theme: Theme } = $props();

	const fields = $derived(
		roles.flatMap((role) => (role === 'key' ? keyColours(theme.key).slice(0, 4) : [theme[role]]))
	);
</script>

<svg
	viewBox="0 0 {fields.length * 4 + 1} 6"
	class="h-6 w-auto flex-none border border-hairline"
	style:background={paperColour}
	aria-hidden="true"
>
	{#each fields as colour, at (at)}
		<rect x={at * 4 + 1} y="1" width="3" height="4" style:fill={colour} />
	{/each}
</svg>
