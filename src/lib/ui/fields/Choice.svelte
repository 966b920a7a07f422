<script lang="ts" generics="T extends string">
	import { RadioGroup } from 'bits-ui';

	interface Props {
		label: string;
		value: T;
		options: readonly { readonly value: T; readonly label: string }[];
		/** One below the other, for options of several words. */
		rows?: boolean;
		onchange: (value: T) => void;
	}
	let { label, value, options, rows = false, onchange }: Props = $props();
	const id = $props.id();

	function chosen(text: string) {
		const option = options.find((option) => option.value === text);
		if (option) onchange(option.value);
	}
</script>

<div class="flex flex-col gap-0.5">
	<span id="{id}-label" class="text-sm text-ink-soft">{label}</span>
	<RadioGroup.Root
		{value}
		onValueChange={chosen}
		aria-labelledby="{id}-label"
		class="flex {rows ? 'flex-col' : 'flex-wrap'}"
	>
		{#each options as option (option.value)}
			<RadioGroup.Item
				value={option.value}
				class="min-h-8 border border-ink-soft bg-field px-2.5 hover:bg-chosen data-[state=checked]:bg-ink data-[state=checked]:text-field {rows
					? '-mt-px text-left first:mt-0 first:rounded-t-[3px] last:rounded-b-[3px]'
					: '-ml-px first:ml-0 first:rounded-l-[3px] last:rounded-r-[3px]'}"
			>
				{option.label}
			</RadioGroup.Item>
		{/each}
	</RadioGroup.Root>
</div>
