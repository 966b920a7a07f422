<script lang="ts">
	/** A month of a year, as “2027-05”. */
	let {
		label,
		value,
		onchange
	}: { label: string; value: string; onchange: (month: string) => void } = $props();
</script>

<label class="flex flex-col gap-0.5">
	<span class="text-sm text-ink-soft">{label}</span>
	<input
		type="month"
		class="field"
		min="1900-01"
		max="2200-12"
		{value}
		oninput={(event) => onchange(event.currentTarget.value)}
	/>
</label>
