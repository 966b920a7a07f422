<script lang="ts">
	import type { FieldMark } from '$lib/core/draw';
	import FieldInk from './FieldInk.svelte';

	interface Props {
		field: FieldMark;
		value: string;
		/** What stands for done, as the page says it. */
		done: string | undefined;
		label: string;
		/** The keyboard is here. */
		current: boolean;
		locale: string;
		onpick: () => void;
	}
	/** A field of a drawn page with what was filled in, as a pen would have done it. */
	let { field, value, done, label, current, locale, onpick }: Props = $props();

	const { x, y, w, h } = $derived(field);
	const outline = $derived(
		field.beyond === undefined
			? `M${x} ${y}h${w}v${h}h${-w}Z`
			: `M${x - field.beyond} ${y + h / 2}L${x} ${y}L${x + w} ${y}L${x + w + field.beyond} ${y + h / 2}L${x + w} ${y + h}L${x} ${y + h}Z`
	);
</script>

<g
	role="button"
	tabindex={current ? 0 : -1}
	aria-label="{label}: {value || 'empty'}"
	data-field={current ? 'current' : undefined}
	class="cursor-pointer outline-none"
	onpointerdown={(event) => {
		event.preventDefault();
		onpick();
	}}
>
	<path
		d={outline}
		class={current ? 'stroke-calm' : 'stroke-transparent'}
		stroke-width="0.22"
		fill-opacity={field.holds === 'level' ? 1 : 0.75}
		style:fill={field.holds === 'level' && value
			? `var(--tint-level-${value})`
			: field.holds === 'mark' && value === 'x' && (done ?? 'filled') === 'filled'
				? 'var(--tint-bar)'
				: 'transparent'}
	/>
	<FieldInk {field} {value} {done} {locale} />
</g>
