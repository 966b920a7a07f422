<script lang="ts">
	interface Props {
		label: string;
		value: string;
		placeholder?: string;
		most?: number;
		fault?: string;
		onchange: (value: string) => void;
	}
	let { label, value, placeholder, most = 200, fault, onchange }: Props = $props();
	const id = $props.id();
</script>

<div class="flex flex-col gap-0.5">
	<label for={id} class="text-sm text-ink-soft">{label}</label>
	<input
		{id}
		class="field w-full"
		autocomplete="off"
		maxlength={most}
		{value}
		{placeholder}
		aria-invalid={fault ? 'true' : undefined}
		aria-describedby={fault ? `${id}-fault` : undefined}
		oninput={(event) => onchange(event.currentTarget.value)}
	/>
	{#if fault}<p id="{id}-fault" class="text-sm text-caution">{fault}</p>{/if}
</div>
