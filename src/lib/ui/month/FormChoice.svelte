<script lang="ts">
	import { kindById } from '$lib/core/catalogue';
	import { formById, type Form } from '$lib/core/forms';
	import type { Wish } from '$lib/core/wish';
	import Select from '../fields/Select.svelte';

	/** How a wish is ruled, out of the forms that its kind may take. */
	let {
		wish,
		form,
		onchange
	}: { wish: Wish; form: Form | undefined; onchange: (fields: Partial<Wish>) => void } = $props();
	const forms = $derived((kindById(wish.kind)?.forms ?? []).flatMap((id) => formById(id) ?? []));
</script>

{#if forms.length > 1}
	<Select
		label="Layout"
		value={wish.form ?? ''}
		options={[
			{ value: '', label: `as it fits best${wish.form || !form ? '' : ` (${form.name})`}` },
			...forms.map(({ id, name }) => ({ value: id, label: name }))
		]}
		onchange={(id) => onchange({ form: id || undefined, span: undefined })}
	/>
{/if}
