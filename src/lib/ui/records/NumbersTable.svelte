<script lang="ts">
	interface Props {
		head: readonly string[];
		rows: readonly (readonly string[])[];
	}
	/** The numbers behind a chart. */
	let { head, rows }: Props = $props();
</script>

<details class="pt-1 text-sm">
	<summary class="cursor-pointer text-ink-soft">The numbers</summary>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="relative overflow-x-auto" role="group" aria-label="The numbers" tabindex="0">
		<table class="mt-1 border-collapse">
			<thead>
				<tr>
					{#each head as name, at (at)}<th
							scope="col"
							class="border-b border-hairline pr-6 text-left font-normal text-ink-soft">{name}</th
						>{/each}
				</tr>
			</thead>
			<tbody>
				{#each rows as row, at (at)}
					<tr
						>{#each row as cell, column (column)}<td class="pr-6">{cell}</td>{/each}</tr
					>
				{/each}
			</tbody>
		</table>
	</div>
</details>
