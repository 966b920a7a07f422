<script lang="ts">
	import { kindById } from '$lib/core/catalogue';
	import { isAlone, isFiller, mayFace } from '$lib/core/fit';
	import type { Wish } from '$lib/core/wish';
	import type { Side } from '$lib/core/paper';
	import Choice from '../fields/Choice.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import type { MonthDesk } from './month-desk.svelte';
	import Select from '../fields/Select.svelte';
	import Check from '../fields/Check.svelte';

	/** Where a wish must stand, as far as the person cares. */
	let { desk, wish }: { desk: MonthDesk; wish: Wish } = $props();

	const sides: { value: Side | 'either'; label: string }[] = [
		{ value: 'either', label: 'either' },
		{ value: 'left', label: 'left page' },
		{ value: 'right', label: 'right page' }
	];
	const others = $derived(
		desk.wishes.filter(
			(other) => other.id !== wish.id && (mayFace(other) || other.id === wish.facing)
		)
	);
	/** Something is to be faced that cannot be. */
	const inVain = $derived(
		wish.facing !== undefined &&
			![wish, ...others.filter(({ id }) => id === wish.facing)].every(mayFace)
	);
	const nameOf = (other: Wish) => other.title || kindById(other.kind)?.name || other.id;
	const edit = (fields: Partial<Wish>) => desk.edit(wish.id, fields);
	const filler = $derived(isFiller(desk.plan, wish));
	const alone = $derived(isAlone(wish));
	const free = $derived(
		desk.run.pages.some(({ number }) => number === wish.pin?.page) || wish.pin === undefined
			? undefined
			: `page ${wish.pin.page} is not one of the free pages`
	);
</script>

<Choice
	label="Side"
	value={wish.side ?? 'either'}
	options={sides}
	onchange={(side) => edit({ side: side === 'either' ? undefined : side })}
/>
<Select
	label="Facing, on the same spread"
	value={wish.facing ?? ''}
	options={[
		{ value: '', label: 'no other wish' },
		...others.map((other) => ({ value: other.id, label: nameOf(other) }))
	]}
	onchange={(facing) => edit({ facing: facing || undefined })}
/>
{#if inVain}
	<p class="self-end text-sm text-caution">One of them takes both pages, so nothing can face it.</p>
{/if}
<NumberField
	label="On page"
	value={wish.pin?.page}
	least={1}
	most={2000}
	optional
	placeholder="any"
	fault={free}
	onchange={(page) =>
		edit({
			pin: page === undefined ? undefined : { page },
			...(alone ? { alone } : {})
		})}
/>
<span class="self-end">
	<Check
		label="a page to itself"
		checked={alone}
		onchange={(alone) =>
			edit({
				alone: alone || undefined,
				...(wish.pin ? { pin: { ...wish.pin, alone: undefined } } : {})
			})}
	/>
</span>
{#if !alone}
	<span class="self-end">
		<Check
			label="put it wherever there is room"
			checked={filler}
			onchange={(filler) => edit({ filler })}
		/>
	</span>
{/if}
