<script lang="ts">
	import { RadioGroup } from 'bits-ui';
	import type { FieldMark } from '$lib/core/draw';

	interface Props {
		field: FieldMark;
		name: string;
		value: string;
		onchange: (value: string) => void;
	}
	/** The page's own key: the state of the day is chosen by its colour and pattern; choosing it again takes it away. */
	let { field, name, value, onchange }: Props = $props();

	/** As in the key that is drawn: none, a slant, a cross, a stroke, a plus, all. */
	const patterns = [
		'',
		'M0 2L2 0',
		'M0 2L2 0M0 0L2 2',
		'M0 1H2',
		'M0 1H2M1 0V2',
		'M0 2L2 0M0 0L2 2M0 1H2M1 0V2'
	];
	const isHexagon = $derived(field.beyond !== undefined);
	const shape = $derived(isHexagon ? 'M0.5 0.1H1.5L2 1L1.5 1.9H0.5L0 1Z' : 'M0 0H2V2H0Z');
	const id = $props.id();
</script>

<RadioGroup.Root
	{value}
	onValueChange={onchange}
	aria-label={name}
	orientation="horizontal"
	class="flex flex-wrap gap-3"
>
	{#each field.levels ?? [] as level, at (at)}
		{@const own = String(at + 1)}
		<RadioGroup.Item
			value={own}
			onclick={() => own === value && onchange('')}
			class="group flex w-20 flex-col items-center gap-1 text-sm"
		>
			<svg viewBox="-0.12 -0.12 2.24 2.24" class="h-14 w-14" aria-hidden="true">
				<clipPath id="{id}-{at}"><path d={shape} /></clipPath>
				<path d={shape} style:fill="var(--tint-level-{own})" />
				<path
					d={patterns[at]}
					clip-path="url(#{id}-{at})"
					class="fill-none stroke-ink"
					stroke-width="0.05"
				/>
				<path
					d={shape}
					class="fill-none {own === value ? 'stroke-ink' : 'stroke-ink-soft'}"
					stroke-width={own === value ? 0.2 : 0.06}
				/>
			</svg>
			<span class={own === value ? 'font-medium underline underline-offset-4' : ''}>{level}</span>
		</RadioGroup.Item>
	{/each}
</RadioGroup.Root>
