<script lang="ts">
	import { kindById } from '$lib/core/catalogue';
	import { formById, type Form } from '$lib/core/forms';
	import type { Wish } from '$lib/core/wish';

	/** How a wish is ruled, out of the forms that its kind may take. */
	let {
		wish,
		form,
		onchange
	}: { wish: Wish; form: Form | undefined; onchange: (fields: Partial<Wish>) => void } = $props();
	const id = $props.id();
	const forms = $derived((kindById(wish.kind)?.forms ?? []).flatMap((id) => formById(id) ?? []));
</script>

{#if forms.length > 1}
	<div class="flex flex-col gap-0.5">
		<label for={id} class="text-sm text-ink-soft">Ruled as</label>
		<select
			{id}
			class="field"
			value={wish.form ?? ''}
			onchange={(event) =>
				onchange({
					form: event.currentTarget.value || undefined,
					span: undefined
				})}
		>
			<option value="">as it fits best{wish.form || !form ? '' : ` (${form.name})`}</option>
			{#each forms as other (other.id)}<option value={other.id}>{other.name}</option>{/each}
		</select>
	</div>
{/if}
