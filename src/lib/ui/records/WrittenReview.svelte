<script lang="ts">
	import { answered, prompts } from '$lib/core/records';
	import type { RecordsDesk } from './records-desk.svelte';

	/** A few lines about the month, in one's own words; they can be copied onto its review page. */
	let { records, title }: { records: RecordsDesk; title: string } = $props();
</script>

<h2 class="pt-6 pb-1 text-xl">In a few words</h2>
<p class="pb-2 text-sm text-ink-soft">
	A line each is enough; it is kept with {title}, ready to be copied onto its review page.
</p>
<div class="grid gap-3 md:grid-cols-2">
	{#each prompts as prompt (prompt)}
		{@const { wish, about } = answered(prompt, '')}
		<label class="flex flex-col gap-0.5">
			<span class="text-sm text-ink-soft">{prompt}</span>
			<textarea
				class="field font-hand text-lg leading-snug"
				rows="2"
				maxlength="2000"
				value={records.valueOf(wish, about)}
				onchange={(event) => records.change([answered(prompt, event.currentTarget.value)])}
			></textarea>
		</label>
	{/each}
</div>
{#if records.saver.state.kind === 'failed'}
	<p role="alert" class="mt-2 bg-caution-ground px-3 py-2">{records.saver.state.message}</p>
{/if}
