<script lang="ts">
	import { kindById } from '$lib/core/catalogue';
	import type { Wish } from '$lib/core/wish';
	import type { Side } from '$lib/core/paper';
	import Choice from '../fields/Choice.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import type { MonthDesk } from './month-desk.svelte';

	/** Where a wish must stand, as far as the person cares. */
	let { desk, wish }: { desk: MonthDesk; wish: Wish } = $props();
	const id = $props.id();

	const sides: { value: Side | 'either'; label: string }[] = [
		{ value: 'either', label: 'either' },
		{ value: 'left', label: 'left page' },
		{ value: 'right', label: 'right page' }
	];
	const others = $derived(desk.wishes.filter((other) => other.id !== wish.id && !other.weeks));
	const nameOf = (other: Wish) => other.title || kindById(other.kind)?.name || other.id;
	const edit = (fields: Partial<Wish>) => desk.edit(wish.id, fields);
	const filler = $derived(wish.filler ?? kindById(wish.kind)?.filler ?? false);
	const free = $derived(
		desk.run.pages.some(({ number }) => number === wish.pin?.page) || wish.pin === undefined
			? undefined
			: `page ${wish.pin.page} is not one of the free pages`
	);
</script>

<details>
	<summary class="cursor-pointer underline decoration-hairline underline-offset-4"
		>Where it stands</summary
	>
	<div class="flex flex-wrap gap-x-4 gap-y-3 pt-2">
		<Choice
			label="Side"
			value={wish.side ?? 'either'}
			options={sides}
			onchange={(side) => edit({ side: side === 'either' ? undefined : side })}
		/>
		<div class="flex flex-col gap-0.5">
			<label for={id} class="text-sm text-ink-soft">Facing, on the same spread</label>
			<select
				{id}
				class="field"
				value={wish.facing ?? ''}
				onchange={(event) => edit({ facing: event.currentTarget.value || undefined })}
			>
				<option value="">no other wish</option>
				{#each others as other (other.id)}<option value={other.id}>{nameOf(other)}</option>{/each}
			</select>
		</div>
		<NumberField
			label="On page"
			value={wish.pin?.page}
			least={1}
			most={2000}
			optional
			placeholder="any"
			fault={free}
			onchange={(page) =>
				edit({ pin: page === undefined ? undefined : { page, alone: wish.pin?.alone } })}
		/>
		{#if wish.pin}
			<label class="flex items-center gap-2 self-end pb-1">
				<input
					type="checkbox"
					checked={wish.pin.alone ?? false}
					onchange={(event) =>
						wish.pin &&
						edit({ pin: { ...wish.pin, alone: event.currentTarget.checked || undefined } })}
				/>
				nothing else on that page
			</label>
		{/if}
		<label class="flex items-center gap-2 self-end pb-1">
			<input
				type="checkbox"
				checked={filler}
				onchange={(event) => edit({ filler: event.currentTarget.checked })}
			/>
			fills what is left, anywhere
		</label>
	</div>
</details>
