<script lang="ts">
	/** The dots of a page as a pattern of one square; fill with `url(#id)` from half a square outside. */
	let { id }: { id: string } = $props();
</script>

<pattern {id} width="1" height="1" x="-0.5" y="-0.5" patternUnits="userSpaceOnUse">
	<circle cx="0.5" cy="0.5" r="0.075" class="fill-dot" />
</pattern>
