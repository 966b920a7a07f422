<script lang="ts">
	import {
		dryingOf,
		inkFacts,
		inkKinds,
		inkedPasses,
		passNames,
		rules,
		type Back,
		type Drying,
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

	const { evenings, shelf, tools, off } = $derived(making.settings);
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
	/** What was found on the test page, in minutes; an empty field goes back to what is usual. */
	function setFound(pass: InkedPass, what: keyof Drying, minutes: number | undefined) {
		const { [what]: _, ...others } = shelf[pass].found ?? {};
		const found = minutes === undefined ? others : { ...others, [what]: Math.round(minutes * 60) };
		setInk(pass, { ...shelf[pass], found });
	}

	const drying = [
		{ what: 'touch', label: 'touched after' },
		{ what: 'over', label: 'drawn over after' },
		{ what: 'erase', label: 'erased over after' }
	] as const;
	const backWords: { value: Back | 'usual'; label: string }[] = [
		{ value: 'usual', label: 'not tried' },
		{ value: 'clean', label: 'nothing' },
		{ value: 'shows', label: 'shows through' },
		{ value: 'bleeds', label: 'bleeds through' }
	];
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
		Times are usual ones. Try your inks on the notebook’s last page (the kind “Ink test” has boxes
		for it) and put in what you find.
	</p>
	{#each inkedPasses as pass (pass)}
		{@const ink = shelf[pass]}
		<fieldset class="border-t border-hairline py-2">
			<legend class="sr-only">{passNames[pass]}</legend>
			<div class="flex flex-wrap items-end gap-3">
				<Select
					label="{passNames[pass]} with"
					value={ink.kind}
					options={inks}
					onchange={(kind) => setInk(pass, { kind })}
				/>
				<Select
					label="{passNames[pass]}: on the back"
					value={ink.back ?? 'usual'}
					options={backWords}
					onchange={(back) => setInk(pass, { ...ink, back: back === 'usual' ? undefined : back })}
				/>
			</div>
			<div class="flex flex-wrap items-end gap-3 pt-1">
				{#each drying as { what, label } (what)}
					<NumberField
						label="{passNames[pass]}: {label}"
						unit="min"
						whole={false}
						optional
						value={ink.found?.[what] === undefined ? undefined : ink.found[what] / 60}
						placeholder={String(dryingOf(shelf, pass)[what] / 60)}
						least={0}
						most={1440}
						onchange={(minutes) => setFound(pass, what, minutes)}
					/>
				{/each}
			</div>
			<Check
				label="{passNames[pass]}: water does not move it"
				checked={ink.waterproof ?? false}
				onchange={(waterproof) => setInk(pass, { ...ink, waterproof })}
			/>
		</fieldset>
	{/each}
	<div class="flex flex-wrap items-end gap-3 border-t border-hairline py-2">
		<NumberField
			label="My ruler is long"
			unit="cm"
			value={tools.rulerCm}
			least={5}
			most={100}
			onchange={(rulerCm) =>
				rulerCm !== undefined && making.change({ tools: { ...tools, rulerCm } })}
		/>
		<Check
			label="I have a compass"
			checked={tools.compass}
			onchange={(compass) => making.change({ tools: { ...tools, compass } })}
		/>
		<Check
			label="I write with my left hand"
			checked={making.settings.leftHanded ?? false}
			onchange={(leftHanded) => making.change({ leftHanded })}
		/>
	</div>
	<NumberField
		label="A picture, such as the cover’s, takes"
		unit="min"
		value={making.settings.pictureMinutes}
		least={0}
		most={600}
		onchange={(minutes) => minutes !== undefined && making.change({ pictureMinutes: minutes })}
	/>
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
