<script lang="ts">
	import { usualSheet } from '$lib/core/render';
	import Select from '../fields/Select.svelte';
	import Printer from '../fields/Printer.svelte';

	interface Props {
		monthId: string;
		page: number;
		printers: readonly { readonly id: string; readonly name: string }[];
		locale: string;
	}
	let { monthId, page, printers, locale }: Props = $props();

	let printer = $state('');
	let chosen = $state<'a4' | 'letter'>();
	const paper = $derived(chosen ?? usualSheet(locale));

	const address = (only?: number) =>
		`/app/months/${monthId}/strips.pdf?paper=${paper}` +
		(only === undefined ? '' : `&page=${only}`) +
		(printer ? `&printer=${printer}` : '');
</script>

<h2 class="pt-5 pb-1 text-xl">Use tick strips instead</h2>
<p class="max-w-prose text-ink-soft">
	Print tick strips, cut them along the edge and lay them on the page: one along the top, one down
	the side. Each tick is a dot, each number a step of this guide: “8…” where its line begins, “…8”
	where it ends, “8” where it stands with both.
</p>
<div class="flex flex-wrap items-end gap-3 pt-2">
	<Select
		label="Paper"
		value={paper}
		options={[
			{ value: 'a4', label: 'A4' },
			{ value: 'letter', label: 'US Letter' }
		]}
		onchange={(sheet) => (chosen = sheet)}
	/>
	<Printer value={printer} {printers} onchange={(id) => (printer = id)} />
	<a class="button" href={address(page)} target="_blank" rel="noopener" data-sveltekit-reload
		>Strips of page {page} (PDF)</a
	>
	<a class="button" href={address()} target="_blank" rel="noopener" data-sveltekit-reload
		>All pages (PDF)</a
	>
</div>
