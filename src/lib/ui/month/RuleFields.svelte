<script lang="ts">
	import type { Facts, Form, Rule, RuleValue, Rules } from '$lib/core/forms';
	import Check from '../fields/Check.svelte';
	import Choice from '../fields/Choice.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import Select from '../fields/Select.svelte';

	interface Props {
		form: Form;
		rules: Rules;
		/** What the form has chosen by itself. */
		facts: Facts | undefined;
		/** Rules that are settled elsewhere, by name. */
		without?: readonly string[];
		onchange: (name: string, value: RuleValue | undefined) => void;
	}
	/** How a form is ruled: a field for each rule that it declares, the rarely used ones behind "More". */
	let { form, rules, facts, without = [], onchange }: Props = $props();

	const asked = $derived(form.rules.filter(({ name }) => !without.includes(name)));
	const usual = $derived(asked.filter(({ more }) => !more));
	const rare = $derived(asked.filter(({ more }) => more));
	/** Options that go side by side; more of them stand in a list. */
	const mostAbreast = 3;

	const optionsOf = (rule: Rule & { kind: 'choice' }) => [
		...(rule.usual === undefined ? [{ value: '', label: rule.unsaid }] : []),
		...rule.options
	];

	function side(rule: Rule & { kind: 'size' }, which: 'w' | 'h', value: number | undefined) {
		const other = rule.of({ rules }) ?? (facts && rule.chosen?.(facts));
		onchange(rule.name, value === undefined || !other ? undefined : { ...other, [which]: value });
	}

	const choose = (rule: Rule & { kind: 'choice' }, value: string) =>
		onchange(rule.name, value === '' || value === rule.usual ? undefined : value);
</script>

{#snippet field(rule: Rule)}
	{#if rule.kind === 'number'}
		<NumberField
			label={rule.label}
			value={rule.of({ rules })}
			placeholder={String((facts && rule.chosen?.(facts)) ?? 'auto')}
			least={rule.least}
			most={rule.most}
			unit={rule.unit}
			optional
			onchange={(value) => onchange(rule.name, value)}
		/>
	{:else if rule.kind === 'size'}
		{@const chosen = facts && rule.chosen?.(facts)}
		{#each [['w', 'across'], ['h', 'down']] as const as [which, word] (which)}
			<NumberField
				label="{rule.label} {word}"
				value={rule.of({ rules })?.[which]}
				placeholder={chosen ? String(chosen[which]) : 'auto'}
				least={rule.least}
				most={rule.most}
				unit="squares"
				optional
				onchange={(value) => side(rule, which, value)}
			/>
		{/each}
	{:else if rule.kind === 'flag'}
		<span class="self-end">
			<Check
				label={rule.label}
				checked={rule.of({ rules })}
				onchange={(on) => onchange(rule.name, on || undefined)}
			/>
		</span>
	{:else if rule.options.length > mostAbreast}
		<Select
			label={rule.label}
			value={rule.of({ rules }) ?? ''}
			options={optionsOf(rule)}
			onchange={(value) => choose(rule, value)}
		/>
	{:else}
		<Choice
			label={rule.label}
			value={rule.of({ rules }) ?? ''}
			options={optionsOf(rule)}
			onchange={(value) => choose(rule, value)}
		/>
	{/if}
{/snippet}

{#if usual.length > 0}
	<div class="flex flex-wrap gap-x-4 gap-y-3">
		{#each usual as rule (rule.name)}{@render field(rule)}{/each}
	</div>
{/if}
{#if rare.length > 0}
	<details>
		<summary class="cursor-pointer underline decoration-hairline underline-offset-4">More</summary>
		<div class="flex flex-wrap gap-x-4 gap-y-3 pt-2">
			{#each rare as rule (rule.name)}{@render field(rule)}{/each}
		</div>
	</details>
{/if}
