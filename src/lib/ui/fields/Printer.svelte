<script lang="ts">
	import Select from './Select.svelte';

	interface Props {
		value: string;
		printers: readonly { readonly id: string; readonly name: string }[];
		onchange: (id: string) => void;
	}
	/** Which of the measured printers it goes to; nothing to ask where none is measured. */
	let { value, printers, onchange }: Props = $props();
</script>

{#if printers.length > 0}
	<Select
		label="Printer"
		{value}
		options={[
			{ value: '', label: 'one that prints true' },
			...printers.map(({ id, name }) => ({ value: id, label: name }))
		]}
		{onchange}
	/>
{/if}
