<script lang="ts" generics="T extends string">
	interface Props {
		label: string;
		value: T;
		options: readonly { readonly value: T; readonly label: string }[];
		onchange: (value: T) => void;
	}
	let { label, value, options, onchange }: Props = $props();

	function chosen(text: string) {
		const option = options.find((option) => option.value === text);
		if (option) onchange(option.value);
	}
</script>

<label class="flex min-w-0 flex-col gap-0.5">
	<span class="text-sm text-ink-soft">{label}</span>
	<select class="field max-w-full" {value} onchange={(event) => chosen(event.currentTarget.value)}>
		{#each options as option (option.value)}
			<option value={option.value}>{option.label}</option>
		{/each}
	</select>
</label>
