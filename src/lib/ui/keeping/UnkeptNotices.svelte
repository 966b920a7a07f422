<script lang="ts">
	import { monthWords } from '$lib/ui/words';
	import { beforeNavigate, goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { setDeleted } from '../undo-toast';
	import type { Keeping, Unkept } from './keeping.svelte';

	let { keeping }: { keeping: Keeping } = $props();

	/** What is on its way is told by the screen itself; only what needs a hand or patience is told here. */
	const told = $derived(keeping.unkept.filter(({ saver }) => saver.state.kind !== 'saving'));

	beforeNavigate((navigation) => {
		// The browser asks whether to stay when something is not kept yet.
		if (navigation.willUnload && keeping.unkept.length > 0) navigation.cancel();
	});

	const elsewhere = ({ href }: Unkept) => !page.url.pathname.startsWith(href);

	async function takeTheirs({ saver }: Unkept) {
		saver.takeTheirs();
		try {
			await invalidateAll();
		} finally {
			saver.settle();
		}
	}

	async function bringBack({ saver, path }: Unkept) {
		if (await setDeleted(path, false, async () => saver.overwrite())) await invalidateAll();
	}

	async function leaveDeleted({ saver, path }: Unkept) {
		saver.takeTheirs();
		saver.settle();
		keeping.forgetDesk(path.split('/').at(-1) ?? '');
		await goto(path.startsWith('/app/months') ? '/months' : '/notebooks', { invalidateAll: true });
	}
</script>

{#each told as item (item.path)}
	{@const state = item.saver.state}
	<div
		role="alert"
		class="flex flex-wrap items-center gap-3 border-b border-hairline bg-caution-ground px-5 py-2 print:hidden"
	>
		{#if state.kind === 'conflict'}
			<p>
				<strong>{monthWords(item.name)}</strong> was changed in another window. Your last change here
				is not kept yet.
			</p>
			<button class="button" onclick={() => item.saver.overwrite()}>Keep what is here</button>
			<button class="button" onclick={() => takeTheirs(item)}
				>Take the other (undo brings this back)</button
			>
		{:else if state.kind === 'deleted'}
			<p>
				<strong>{monthWords(item.name)}</strong> was deleted in another window. Your last change here
				is not kept.
			</p>
			<button class="button" onclick={() => bringBack(item)}>Bring it back as it is here</button>
			<button class="button" onclick={() => leaveDeleted(item)}>Leave it deleted</button>
		{:else if state.kind === 'failed'}
			<p><strong>{monthWords(item.name)}</strong> is not saved. {state.message}</p>
			<button class="button" onclick={() => item.saver.retry()}>Try again</button>
		{:else if elsewhere(item)}
			<p>
				<strong>{monthWords(item.name)}</strong> is not saved until the marked number is put right.
			</p>
		{/if}
		{#if elsewhere(item)}<a class="button" href={item.href}>Go there</a>{/if}
	</div>
{/each}
