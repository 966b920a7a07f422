<script lang="ts">
	/** What is printed and pasted onto a page. */
	let { pastes }: { pastes: readonly string[] } = $props();
</script>

<h2 class="pt-3 text-lg">Paste</h2>
<ul class="list-disc pl-6">
	{#each pastes as paste, index (index)}<li>{paste}</li>{/each}
</ul>
<p class="border-l-4 border-hairline py-1 pl-3 text-ink-soft italic">
	Leave the book open until the paste is dry.
</p>
