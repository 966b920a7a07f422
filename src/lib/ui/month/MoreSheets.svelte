<script lang="ts">
	/** Further ways to print the month, and to save it as a file. */
	let { monthId, printer }: { monthId: string; printer: string } = $props();

	const sheets = [
		['sheet=a4', 'Two pages on A4, with crop marks'],
		['sheet=letter', 'Two pages on US Letter, with crop marks'],
		['only=lines', 'Tracing sheets: only the lines, page by page'],
		['sheet=a4&only=lines', 'Tracing sheets, two pages on A4']
	] as const;
	const address = (query: string) =>
		`/app/months/${monthId}/plan.pdf?${query}${printer ? `&printer=${printer}` : ''}`;
</script>

<details>
	<summary class="cursor-pointer font-serif text-xl">More sheets, and the month as a file</summary>
	<ul class="flex flex-col gap-1.5 pt-2">
		{#each sheets as [query, name] (query)}
			<li>
				<a
					class="underline decoration-hairline underline-offset-4"
					href={address(query)}
					target="_blank"
					rel="noopener"
					data-sveltekit-reload>{name} (PDF)</a
				>
			</li>
		{/each}
		<li class="pt-2">
			<a class="button" href="/app/months/{monthId}/plan.json" download data-sveltekit-reload
				>Save this month as a file</a
			>
		</li>
	</ul>
</details>
