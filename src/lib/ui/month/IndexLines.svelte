<script lang="ts">
	import { indexLines, indexText } from '$lib/core/fit';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk }: { desk: MonthDesk } = $props();
	const lines = $derived(indexLines(desk.plan, desk.run));
	let copied = $state<'yes' | 'no'>();

	async function copy() {
		try {
			await navigator.clipboard.writeText(indexText(lines));
			copied = 'yes';
		} catch {
			copied = 'no';
		}
	}
</script>

{#if lines.length > 0}
	<details>
		<summary class="cursor-pointer font-serif text-xl">Lines for the index</summary>
		<div class="flex flex-wrap items-start gap-6 pt-2">
			<table class="border-collapse">
				<thead class="sr-only"><tr><th>Pages</th><th>Title</th></tr></thead>
				<tbody>
					{#each lines as { title, first, last }, index (index)}
						<tr class="border-b border-hairline">
							<td class="py-0.5 pr-4 text-right text-rubric"
								>{first === last ? first : `${first}–${last}`}</td
							>
							<td class="py-0.5 pr-8 font-hand text-lg">{title}</td>
						</tr>
					{/each}
				</tbody>
			</table>
			<div class="flex flex-col gap-2">
				<button class="button" onclick={copy}>Copy {lines.length} lines</button>
				<p role="status" class="max-w-56 text-sm text-ink-soft">
					{#if copied === 'yes'}Copied.{:else if copied === 'no'}The browser does not let pages
						copy: mark the lines and copy them yourself.{/if}
				</p>
			</div>
		</div>
	</details>
{/if}
