<script lang="ts">
	import type { FieldMark } from '$lib/core/draw';
	import FieldInk from './FieldInk.svelte';

	interface Props {
		field: FieldMark;
		name: string;
		value: string;
		done: string | undefined;
		locale: string;
		onchange: (value: string) => void;
	}
	/** One cell of a day, enlarged: each tap marks it as one would on paper, and the fourth empties it. */
	let { field, name, value, done, locale, onchange }: Props = $props();

	const order = $derived(field.holds === 'tick' ? ['', 'x'] : ['', 'x', '-', 'o']);
	const words: Readonly<Record<string, string>> = { x: 'done', '-': 'missed', o: 'not due' };
	const said = $derived(value === '' ? '' : (words[value] ?? `${value} times`));
	/** Whatever its shape on the page, a finger gets a square one. */
	const cell = $derived({ ...field, x: 0, y: 0, w: 1, h: 1 });

	function tapped() {
		onchange(order[(order.indexOf(value) + 1) % order.length] ?? '');
	}

	function pressed(event: KeyboardEvent) {
		const key = event.key.toLowerCase();
		if (event.altKey || event.ctrlKey || event.metaKey) return;
		if (['x', '-', 'o'].includes(key) && order.includes(key)) onchange(key);
		else if (key === 'backspace' || key === 'delete') onchange('');
		else return;
		event.preventDefault();
	}
</script>

<button
	class="group flex w-24 flex-col items-center gap-1 text-center text-sm leading-tight"
	onclick={tapped}
	onkeydown={pressed}
>
	<span
		class="relative flex h-14 w-14 items-center justify-center border border-ink bg-paper group-hover:border-calm {value ===
		'o'
			? 'border-dashed'
			: ''}"
	>
		<svg viewBox="0 0 1 1" class="h-full w-full" aria-hidden="true">
			{#if value === 'x' && (done ?? 'filled') === 'filled'}
				<rect width="1" height="1" style:fill="var(--tint-bar)" />
			{/if}
			<FieldInk field={cell} {value} {done} {locale} />
		</svg>
		<span class="absolute top-0 left-1 font-hand text-sm" aria-hidden="true">{field.about.day}</span
		>
		{#if said && value !== 'x'}
			<span class="absolute inset-x-0 bottom-2.5 text-xs text-ink-soft" aria-hidden="true"
				>{said}</span
			>
		{/if}
	</span>
	<span>{name}<span class="sr-only">: {said || 'no answer'}</span></span>
</button>
