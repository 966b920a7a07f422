<script lang="ts">
	interface Props {
		label: string;
		checked: boolean;
		onchange: (checked: boolean) => void;
	}
	let { label, checked, onchange }: Props = $props();
</script>

<label class="flex min-h-8 items-center gap-2">
	<input
		type="checkbox"
		class="size-5 shrink-0 accent-calm"
		{checked}
		onchange={(event) => onchange(event.currentTarget.checked)}
	/>
	{label}
</label>
