<script lang="ts">
	import { Dialog } from 'bits-ui';
	import { isTyping } from './keys';
	import ThemeSwitch from './ThemeSwitch.svelte';

	/** The keys, and how the screen looks. */
	let { theme }: { theme: 'light' | 'dark' | 'system' } = $props();

	let open = $state(false);
	const keys: readonly (readonly [keys: string, what: string])[] = [
		['?', 'This window'],
		['Ctrl Z', 'Undo'],
		['Ctrl Shift Z', 'Redo'],
		['Alt ↑ or Alt ↓', 'Move the wish up or down (on its name)'],
		['Delete', 'Remove the wish (on its name)'],
		['← →', 'Spread before or after (opened spread, guide)'],
		['Arrows', 'Move the block, or the counting cursor, that has the focus (opened spread)'],
		['Shift and arrows', 'Size the block; five dots at once (opened spread)'],
		['Enter, Esc', 'Leave the block there, or put it back (opened spread)'],
		['+ − 0', 'Zoom in, zoom out, whole spread (opened spread)'],
		['↑ ↓', 'Step before or after (guide)'],
		['Space', 'Tick the step and go on (guide)']
	];

	function pressed(event: KeyboardEvent) {
		if (event.key === '?' && !isTyping(event)) open = true;
	}
</script>

<svelte:window onkeydown={pressed} />

<Dialog.Root bind:open>
	<Dialog.Trigger class="button button-quiet min-w-9" aria-label="Keys and theme">?</Dialog.Trigger>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-ink/30" />
		<Dialog.Content
			class="fixed top-1/2 left-1/2 z-50 w-[28rem] max-h-[92dvh] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 border border-ink-soft overflow-auto bg-sheet p-6"
		>
			<Dialog.Title class="mb-3 font-serif text-2xl">Keys and theme</Dialog.Title>
			<div class="mb-4"><ThemeSwitch {theme} /></div>
			<dl class="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
				{#each keys as [key, what] (key)}
					<dt class="font-medium">{key}</dt>
					<dd>{what}</dd>
				{/each}
			</dl>
			<Dialog.Close class="button mt-5">Close</Dialog.Close>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
