<script lang="ts">
	interface Props {
		value: string;
		label?: string;
		disabled?: boolean;
		onask: () => void;
	}
	/** Where a device or service is, and a button that asks it. */
	let {
		value = $bindable(),
		label = 'Its address on this machine or network',
		disabled = false,
		onask
	}: Props = $props();
</script>

<form
	class="flex flex-wrap items-end gap-3 py-2"
	onsubmit={(event) => {
		event.preventDefault();
		onask();
	}}
>
	<label class="flex min-w-0 flex-1 flex-col gap-0.5">
		<span class="text-sm text-ink-soft">{label}</span>
		<input
			class="field w-full max-w-md font-mono"
			placeholder="http://"
			required
			autocomplete="off"
			bind:value
		/>
	</label>
	<button class="button" {disabled}>Look</button>
</form>
