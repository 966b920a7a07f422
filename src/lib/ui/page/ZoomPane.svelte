<script lang="ts">
	import type { Snippet } from 'svelte';
	import { isTyping } from '../shell/keys';

	interface Props {
		label: string;
		/** Whether + − 0 zoom; where these are typed into what is shown they do not. */
		keys?: boolean;
		/** Said beside the buttons. */
		beside?: Snippet;
		children: Snippet;
	}
	let { label, keys = true, beside, children }: Props = $props();

	const most = 16;
	const factor = 1.5;
	let zoom = $state(1);
	let pane = $state<HTMLElement>();

	/** Zooms while the middle of what is seen stays where it is. */
	function to(next: number) {
		const before = zoom;
		zoom = Math.min(most, Math.max(1, next));
		if (!pane) return;
		const { scrollLeft, scrollTop, clientWidth, clientHeight } = pane;
		const grown = zoom / before;
		const left = (scrollLeft + clientWidth / 2) * grown - clientWidth / 2;
		const top = (scrollTop + clientHeight / 2) * grown - clientHeight / 2;
		requestAnimationFrame(() => pane?.scrollTo({ left, top }));
	}

	function pressed(event: KeyboardEvent) {
		if (!keys || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
		if (event.key === '+' || event.key === '=') to(zoom * factor);
		else if (event.key === '-') to(zoom / factor);
		else if (event.key === '0') to(1);
	}

	function wheeled(event: WheelEvent) {
		if (!event.ctrlKey) return;
		event.preventDefault();
		to(zoom * Math.exp(-event.deltaY / 300));
	}
</script>

<svelte:window onkeydown={pressed} />

<div class="flex min-h-10 flex-wrap items-center gap-1 pb-2 print:hidden">
	<button class="button min-h-8" onclick={() => to(zoom / factor)} disabled={zoom === 1}
		>Zoom out</button
	>
	<button class="button min-h-8" onclick={() => to(zoom * factor)} disabled={zoom === most}
		>Zoom in</button
	>
	{#if zoom > 1}
		<button class="button min-h-8" onclick={() => to(1)}>Whole spread</button>
	{/if}
	<span
		class="px-2 text-sm whitespace-nowrap text-ink-soft {zoom > 1 ? '' : 'sr-only'}"
		role="status">{Math.round(zoom * 100)} %</span
	>
	{@render beside?.()}
</div>
<!-- The pane scrolls, so it must take the focus for scrolling by keyboard. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
	bind:this={pane}
	class="min-h-0 flex-1 overflow-auto"
	role="region"
	aria-label={label}
	tabindex="0"
	onwheel={wheeled}
>
	<div
		class="mx-auto max-w-[calc((100dvh-11.5rem)*1.38*var(--zoom))]"
		style="width: {zoom * 100}%; --zoom: {zoom}"
	>
		{@render children()}
	</div>
</div>
