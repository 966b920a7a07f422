<script lang="ts">
	import {
		dryingOf,
		inkFacts,
		inkKinds,
		inkedPasses,
		passNames,
		rules,
		type Evenings,
		type Ink,
		type InkedPass
	} from '$lib/core/making';
	import Check from '../fields/Check.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import Select from '../fields/Select.svelte';
	import type { MakingDesk } from './making-desk.svelte';

	/** When a person has time, with what they work, and which rules they keep to. */
	let { making }: { making: MakingDesk } = $props();

	const { evenings, shelf, off } = $derived(making.settings);
	const week = [1, 2, 3, 4, 5, 6, 0];
	// 3 January 2027 is a Sunday.
	const nameOf = (day: number, style: 'short' | 'long') =>
		new Date(Date.UTC(2027, 0, 3 + day)).toLocaleDateString('en', {
			weekday: style,
			timeZone: 'UTC'
		});
	const inks = inkKinds.map((kind) => ({ value: kind, label: inkFacts[kind].name }));

	function setEvenings(changed: Partial<Evenings>) {
		making.change({ evenings: { ...evenings, ...changed } });
	}
	function setDay(day: number, has: boolean) {
		const others = evenings.days.filter((other) => other !== day);
		setEvenings({ days: has ? [...others, day].sort((a, b) => a - b) : others });
	}
	function setInk(pass: InkedPass, ink: Ink) {
		making.change({ shelf: { ...shelf, [pass]: ink } });
	}
	function setRule(id: string, on: boolean) {
		const others = off.filter((other) => other !== id);
		making.change({ off: on ? others : [...others, id] });
	}
	function setDry(pass: InkedPass, minutes: number | undefined) {
		const { kind, found } = shelf[pass];
		const { over: _, ...others } = found ?? {};
		setInk(pass, {
			kind,
			found: minutes === undefined ? others : { ...others, over: Math.round(minutes * 60) }
		});
	}
</script>

<section aria-label="When I have time">
	<h2 class="pb-2 text-xl">When I have time</h2>
	<div class="flex flex-wrap items-end gap-3">
		<label class="flex flex-col gap-0.5">
			<span class="text-sm text-ink-soft">From</span>
			<input
				type="time"
				class="field"
				value={evenings.at}
				onchange={({ currentTarget: { value } }) => value && setEvenings({ at: value })}
			/>
		</label>
		<NumberField
			label="For"
			unit="min"
			value={evenings.minutes}
			least={10}
			most={600}
			onchange={(minutes) => minutes !== undefined && setEvenings({ minutes })}
		/>
		<NumberField
			label="Days before the 1st"
			value={evenings.daysBefore}
			least={0}
			most={60}
			onchange={(daysBefore) => daysBefore !== undefined && setEvenings({ daysBefore })}
		/>
	</div>
	<fieldset class="flex flex-wrap gap-x-3 pt-2">
		<legend class="text-sm text-ink-soft">On</legend>
		{#each week as day (day)}
			<Check
				label={nameOf(day, 'short')}
				checked={evenings.days.includes(day)}
				onchange={(has) => setDay(day, has)}
			/>
		{/each}
	</fieldset>
</section>
<details class="pt-4">
	<summary class="cursor-pointer font-serif text-xl">With what</summary>
	<p class="py-1 text-sm text-ink-soft">
		Drying times are usual ones. Try yours on the notebook’s last page and put in what you find.
	</p>
	{#each inkedPasses as pass (pass)}
		<div class="flex flex-wrap items-end gap-3 pb-2">
			<Select
				label="{passNames[pass]} with"
				value={shelf[pass].kind}
				options={inks}
				onchange={(kind) => setInk(pass, { kind })}
			/>
			<NumberField
				label="{passNames[pass]}: dry after"
				unit="min"
				whole={false}
				optional
				value={shelf[pass].found?.over === undefined ? undefined : shelf[pass].found.over / 60}
				placeholder={String(dryingOf(shelf, pass).over / 60)}
				least={0}
				most={1440}
				onchange={(minutes) => setDry(pass, minutes)}
			/>
		</div>
	{/each}
</details>
<details class="pt-4">
	<summary class="cursor-pointer font-serif text-xl">By which rules</summary>
	<ul class="pt-1">
		{#each rules as { id, says, reason } (id)}
			<li class="pb-1">
				<Check label={says} checked={!off.includes(id)} onchange={(on) => setRule(id, on)} />
				<p class="pl-7 text-sm text-ink-soft">{reason}</p>
			</li>
		{/each}
	</ul>
</details>
