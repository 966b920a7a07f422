<script lang="ts">
	import { parseNumber } from './parse-number';

	interface Props {
		label: string;
		value: number | undefined;
		least: number;
		most: number;
		whole?: boolean;
		unit?: string;
		/** Shown when there is no value: what is used instead. */
		placeholder?: string;
		/** Whether the field may be emptied. */
		optional?: boolean;
		/** What is wrong with the value for reasons outside this field. */
		fault?: string;
		onchange: (value: number | undefined) => void;
		/** Hears whether what stands in the field is no such number. */
		onfault?: (wrong: boolean) => void;
	}
	let {
		label,
		value,
		least,
		most,
		whole = true,
		unit = '',
		placeholder,
		optional = false,
		fault,
		onchange,
		onfault
	}: Props = $props();

	const id = $props.id();
	/** What stands in the field while it is wrong or half typed; otherwise the value is shown. */
	let draft = $state<string>();
	let wrong = $state<string>();
	const message = $derived(wrong ?? fault);
	const digits = new Intl.NumberFormat(undefined, { useGrouping: false, maximumFractionDigits: 4 });
	const text = $derived(draft ?? (value === undefined ? '' : digits.format(value)));

	function typed(input: string) {
		draft = input;
		wrong = undefined;
		const empty = input.trim() === '' && optional;
		const read = parseNumber(input, { least, most, whole });
		onfault?.(!empty && !read.ok);
		if (empty) onchange(undefined);
		else if (read.ok) onchange(read.value);
		else wrong = read.message;
	}

	function left() {
		if (!wrong) draft = undefined;
	}

	function step(event: KeyboardEvent) {
		const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
		if (by === 0 || !whole) return;
		event.preventDefault();
		draft = undefined;
		wrong = undefined;
		onfault?.(false);
		onchange(Math.min(most, Math.max(least, (value ?? least - by) + by)));
	}
</script>

<div class="flex flex-col gap-0.5">
	<label for={id} class="text-sm text-ink-soft">{label}</label>
	<span class="flex items-center gap-1.5">
		<input
			{id}
			class="field w-20"
			inputmode={whole ? 'numeric' : 'decimal'}
			autocomplete="off"
			value={text}
			{placeholder}
			aria-invalid={message ? 'true' : undefined}
			aria-describedby={message ? `${id}-fault` : undefined}
			oninput={(event) => typed(event.currentTarget.value)}
			onblur={left}
			onkeydown={step}
		/>
		{#if unit}<span class="text-sm text-ink-soft">{unit}</span>{/if}
	</span>
	{#if message}<p id="{id}-fault" class="max-w-64 text-sm text-caution">{message}</p>{/if}
</div>
