<script lang="ts">
	/** What one takes hold of to drag a row: six dots in one path, because there are many of them. */
	let { class: size }: { class: string } = $props();
</script>

<svg viewBox="0 0 8 14" class={size} aria-hidden="true">
	<path
		d="M2 2h0M6 2h0M2 7h0M6 7h0M2 12h0M6 12h0"
		class="fill-none stroke-current"
		stroke-width="2.2"
		stroke-linecap="round"
	/>
</svg>
