<script lang="ts">
	import type { FieldMark, FieldScale } from '$lib/core/draw';
	import { clockText, readTimes, spanOf, timesText, withSpan } from '$lib/core/records';
	import { numberWords } from '../words';
	import FieldInk from './FieldInk.svelte';

	interface Props {
		field: FieldMark;
		scale: FieldScale;
		name: string;
		value: string;
		locale: string;
		onchange: (value: string) => void;
	}
	/** The line of a day with its scale: a span is drawn by dragging over it, or by two taps, its beginning and its end. */
	let { field, scale, name, value, locale, onchange }: Props = $props();

	/** A square is as wide as a finger. */
	const squarePx = 26;
	const isTimes = $derived(field.holds === 'times');
	let held = $state<{ from: number; to: number }>();
	/** Where the first of two taps was. */
	let begun = $state<number>();
	const marked = $derived(
		held
			? { from: Math.min(held.from, held.to), to: Math.max(held.from, held.to) + 1 }
			: begun === undefined
				? undefined
				: { from: begun, to: begun + 1 }
	);
	const cell = $derived({ ...field, x: 0, y: 0, w: scale.squares, h: 1 });

	const valueAt = (line: number) =>
		scale.from + (scale.back ? scale.squares - line : line) * scale.per;
	const label = (line: number) =>
		isTimes ? clockText(valueAt(line)).replace(/:00$/, '') : numberWords(valueAt(line));
	/** Labels that do not touch each other. */
	const step = $derived(
		Math.ceil((Math.max(label(0).length, label(scale.squares).length) * 8.5 + 8) / squarePx)
	);
	const lines = $derived(Array.from({ length: scale.squares + 1 }, (_, line) => line));

	function squareAt(event: PointerEvent & { currentTarget: HTMLElement }) {
		const { left, width } = event.currentTarget.getBoundingClientRect();
		const square = Math.floor(((event.clientX - left) / width) * scale.squares);
		return Math.min(scale.squares - 1, Math.max(0, square));
	}

	function took(event: PointerEvent & { currentTarget: HTMLElement }) {
		if (event.button !== 0) return;
		event.currentTarget.setPointerCapture(event.pointerId);
		const square = squareAt(event);
		held = { from: begun ?? square, to: square };
	}

	function pulled(event: PointerEvent & { currentTarget: HTMLElement }) {
		if (held) held = { ...held, to: squareAt(event) };
	}

	function left() {
		if (!held || !marked) return;
		const { from, to } = marked;
		const tapped = to - from === 1 && begun === undefined;
		held = undefined;
		if (!isTimes) return onchange(String(scale.from + to * scale.per));
		if (tapped) {
			begun = from;
			return;
		}
		begun = undefined;
		onchange(timesText(withSpan(readTimes(value) ?? [], spanOf(scale, { from, to }))));
	}
</script>

<!-- The line pans where it is longer than the screen; its value can be typed beside it. -->
<div class="max-w-full overflow-x-auto pb-1">
	<div style:width="{scale.squares * squarePx + 24}px" class="px-3">
		<div class="relative h-5 text-xs text-rubric" aria-hidden="true">
			{#each lines as line (line)}
				{#if line % step === 0}
					<span class="absolute -translate-x-1/2" style:left="{line * squarePx}px"
						>{label(line)}</span
					>
				{/if}
			{/each}
		</div>
		<!-- svelte-ignore a11y_no_static_element_interactions -->
		<div
			class="touch-pan-x cursor-crosshair"
			onpointerdown={took}
			onpointermove={pulled}
			onpointerup={left}
			onpointercancel={() => (held = undefined)}
		>
			<svg
				viewBox="0 0 {scale.squares} 1.15"
				class="block w-full bg-paper"
				role="img"
				aria-label="{name}: {value || 'no answer'}"
			>
				<FieldInk field={cell} {value} done={undefined} {locale} />
				{#if marked}
					<rect
						x={marked.from}
						y="0"
						width={marked.to - marked.from}
						height="1.15"
						class="fill-calm opacity-40"
					/>
				{/if}
				<path
					d={lines.map((line) => `M${line} 0V1.15`).join('') +
						`M0 0H${scale.squares}M0 1.15H${scale.squares}`}
					class="fill-none stroke-ink"
					stroke-width="0.05"
				/>
			</svg>
		</div>
		<p class="h-5 text-sm text-ink-soft" role="status">
			{begun === undefined ? '' : 'Now tap where it ends.'}
		</p>
	</div>
</div>
