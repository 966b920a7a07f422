<script lang="ts">
	import { onMount } from 'svelte';
	import type { Block } from '$lib/core/fit';
	import type { MonthShape } from '$lib/core/month';
	import { readValue, valueText } from '$lib/core/records';
	import { blockName } from '../month/block-name';
	import { isTyping } from '../shell/keys';
	import { fieldWords, howWords } from './field-words';
	import type { ProposedField } from './picture-reader.svelte';

	interface Props {
		asked: ProposedField;
		shape: MonthShape;
		address: string;
		/** Of the picture, in the pixels in which the field's corners are told. */
		size: { readonly width: number; readonly height: number };
		locale: string;
		/** What the field belongs to. */
		name: Block | undefined;
		number: number;
		of: number;
		/** A value, or undefined where it stays as it is kept. */
		onanswer: (value: string | undefined) => void;
		onback: (() => void) | undefined;
	}
	/** A field of a picture, enlarged, and what it may say: one key each. */
	let { asked, shape, address, size, locale, name, number, of, onanswer, onback }: Props = $props();

	let typed = $state('');
	let fault = $state<string>();
	let bar = $state<HTMLInputElement>();
	let card = $state<HTMLElement>();
	const field = $derived(asked.read.field);
	/** What is shown: the field and a little around it. */
	const view = $derived.by(() => {
		const xs = asked.read.corners.map(({ x }) => x);
		const ys = asked.read.corners.map(({ y }) => y);
		const [left, top] = [Math.min(...xs), Math.min(...ys)];
		const [width, height] = [Math.max(...xs) - left, Math.max(...ys) - top];
		const around = 0.35 * Math.min(width, height) + 4;
		return `${left - around} ${top - around} ${width + 2 * around} ${height + 2 * around}`;
	});
	const values = $derived(asked.proposed.kind === 'ask' ? asked.proposed.likely : []);

	const signs: Readonly<Record<string, string>> = { x: 'done', '-': 'missed', o: 'not due' };
	function said(value: string): string {
		if (value === '') return 'nothing';
		if (field.holds === 'mark' || field.holds === 'tick') return signs[value] ?? value;
		if (field.holds === 'level') return field.levels?.[Number(value) - 1] ?? value;
		return valueText(field.holds, value, locale);
	}

	onMount(() => {
		// Asked from the page below, it may be out of sight.
		card?.scrollIntoView({ block: 'nearest' });
		bar?.focus();
	});

	function enter(event: SubmitEvent) {
		event.preventDefault();
		if (typed.trim() === '') return onanswer(undefined);
		const levels = field.levels?.length ?? 6;
		const read = readValue(field.holds, typed, { locale, levels, days: shape.days });
		if (read.ok) onanswer(read.value);
		else fault = read.says;
	}

	function pressed(event: KeyboardEvent) {
		if (isTyping(event) || event.altKey || event.ctrlKey || event.metaKey) return;
		const value = values[Number(event.key) - 1];
		if (value !== undefined) onanswer(value);
		else if (event.key === 'Backspace' && onback) onback();
		else return;
		event.preventDefault();
	}
</script>

<svelte:window onkeydown={pressed} />

<div
	bind:this={card}
	class="flex max-w-5xl scroll-my-24 flex-wrap items-start gap-5 border border-hairline bg-sheet p-4"
>
	<svg
		viewBox={view}
		class="h-36 w-64 max-w-full bg-desk"
		role="img"
		aria-label="The field, enlarged"
	>
		<image href={address} width={size.width} height={size.height} preserveAspectRatio="none" />
	</svg>
	<div class="flex min-w-48 flex-1 flex-col gap-3">
		<p>
			<span class="block text-sm text-ink-soft">{number} of {of}</span>
			<span class="font-serif text-xl">{fieldWords(field, name ? blockName(name) : '', shape)}</span
			>
		</p>
		{#if values.length > 0}
			<div class="flex flex-wrap gap-2" role="group" aria-label="What it says">
				{#each values as value, at (value)}
					<button class="button" onclick={() => onanswer(value)}>
						<kbd class="pr-1 text-sm text-ink-soft">{at + 1}</kbd>
						{said(value)}{value === asked.kept && value !== '' ? ' (as kept)' : ''}
					</button>
				{/each}
			</div>
		{:else}
			<form class="flex flex-wrap items-end gap-2" onsubmit={enter}>
				<label class="flex flex-1 flex-col gap-0.5">
					<span class="text-sm text-ink-soft">{howWords(field)}</span>
					<input
						bind:this={bar}
						bind:value={typed}
						class="field w-full"
						autocomplete="off"
						aria-invalid={fault ? 'true' : undefined}
					/>
				</label>
				<button class="button">{typed.trim() === '' ? 'Leave it' : 'Next'}</button>
			</form>
			{#if fault}<p class="text-sm text-caution" role="alert">{fault}</p>{/if}
		{/if}
		<p class="flex flex-wrap gap-3 text-sm">
			{#if values.length > 0}
				<button class="underline" onclick={() => onanswer(undefined)}>Leave it as it is</button>
			{/if}
			{#if onback}<button class="underline" onclick={onback}>Back</button>{/if}
		</p>
	</div>
</div>
