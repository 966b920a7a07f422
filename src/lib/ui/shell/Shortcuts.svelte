<script lang="ts">
	import { Dialog } from 'bits-ui';
	import { isTyping } from './keys';

	let open = $state(false);
	const keys: readonly (readonly [keys: string, what: string])[] = [
		['?', 'This list'],
		['Ctrl Z', 'Undo'],
		['Ctrl Shift Z', 'Redo'],
		['Alt ↑ or Alt ↓', 'Move the wish up or down (on its name)'],
		['Delete', 'Remove the wish (on its name)'],
		['← →', 'Spread before or after (page desk, guide)'],
		['Arrows', 'Move the block, or the counting cursor, that has the focus (page desk)'],
		['Shift and arrows', 'Size the block; five dots at once (page desk)'],
		['Enter, Esc', 'Leave the block there, or put it back (page desk)'],
		['+ − 0', 'Closer, further, whole spread (page desk)'],
		['↑ ↓', 'Step before or after (guide)'],
		['Space', 'Tick the step and go on (guide)']
	];

	function pressed(event: KeyboardEvent) {
		if (event.key === '?' && !isTyping(event)) open = true;
	}
</script>

<svelte:window onkeydown={pressed} />

<Dialog.Root bind:open>
	<Dialog.Trigger class="button button-quiet" aria-label="Keyboard shortcuts">?</Dialog.Trigger>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-ink/30" />
		<Dialog.Content
			class="fixed top-1/2 left-1/2 z-50 w-[28rem] max-h-[92dvh] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 border border-ink-soft overflow-auto bg-sheet p-6"
		>
			<Dialog.Title class="mb-3 font-serif text-2xl">Keys</Dialog.Title>
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
