<script lang="ts" generics="T extends string">
	import { Select } from 'bits-ui';

	interface Props {
		label: string;
		value: T;
		options: readonly { readonly value: T; readonly label: string }[];
		/** The label beside the field and not above it. */
		beside?: boolean;
		onchange: (value: T) => void;
	}
	/** One of several, in a list that opens. */
	let { label, value, options, beside = false, onchange }: Props = $props();
	const id = $props.id();

	// The list knows its options by their places: a value may be an empty text, which it takes for none.
	const place = $derived(options.findIndex((option) => option.value === value));
	const items = $derived(options.map((option, index) => ({ ...option, value: String(index) })));

	function chosen(text: string) {
		const option = options[Number(text)];
		if (option && option.value !== value) onchange(option.value);
	}
</script>

<div class="flex min-w-0 {beside ? 'items-center gap-2' : 'flex-col items-start gap-0.5'}">
	<span id="{id}-label" class="text-sm text-ink-soft {beside ? 'w-40' : ''}">{label}</span>
	<Select.Root type="single" value={String(place)} onValueChange={chosen} {items}>
		<Select.Trigger
			class="field flex max-w-full cursor-pointer items-center justify-between gap-2 text-left"
			aria-labelledby="{id}-label {id}-value"
		>
			<span id="{id}-value" class="truncate">{options[place]?.label ?? value}</span>
			<span aria-hidden="true" class="text-ink-soft">▾</span>
		</Select.Trigger>
		<Select.Content
			strategy="fixed"
			align="start"
			collisionPadding={8}
			aria-labelledby="{id}-label"
			class="z-50 max-h-[min(20rem,var(--bits-floating-available-height))] min-w-(--bits-select-anchor-width) max-w-[calc(100vw-1rem)] overflow-y-auto border border-ink-soft bg-field py-1 shadow-md"
		>
			{#each items as item (item.value)}
				<Select.Item
					value={item.value}
					label={item.label}
					class="flex cursor-pointer gap-2 px-3 py-1 data-highlighted:bg-chosen"
				>
					{#snippet children({ selected })}
						<span aria-hidden="true" class="w-3">{selected ? '✓' : ''}</span>{item.label}
					{/snippet}
				</Select.Item>
			{/each}
		</Select.Content>
	</Select.Root>
</div>
