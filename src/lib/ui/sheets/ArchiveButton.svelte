<script lang="ts">
	import { onDestroy } from 'svelte';
	import { archive, saveFile } from './archive';
	import type { SheetFile } from './sheet-files';

	/** Saves many files as one ZIP; tells how far it is, and can be stopped. */
	let { files, name }: { files: readonly SheetFile[]; name: string } = $props();

	let work = $state.raw<{ done: number; all: number; stop: AbortController }>();
	let fault = $state<string>();

	async function save() {
		const stop = new AbortController();
		const wanted = files;
		fault = undefined;
		work = { done: 0, all: wanted.length, stop };
		try {
			const zip = await archive(wanted, stop.signal, (done) => {
				work = { done, all: wanted.length, stop };
			});
			saveFile(zip, name);
		} catch (error) {
			if (!stop.signal.aborted)
				fault = error instanceof Error ? error.message : 'The files could not be drawn. Try again.';
		} finally {
			work = undefined;
		}
	}

	onDestroy(() => work?.stop.abort());
</script>

{#if work}
	<div class="flex items-center gap-3">
		<progress
			class="h-2 flex-1 accent-calm"
			value={work.done}
			max={work.all}
			aria-label="Files drawn"
		></progress>
		<span role="status" class="whitespace-nowrap">{work.done} of {work.all} files</span>
		<button class="button" onclick={() => work?.stop.abort()}>Stop</button>
	</div>
{:else}
	<button class="button" onclick={save}>Everything as one ZIP ({files.length} files)</button>
{/if}
{#if fault}<p class="pt-1 text-caution" role="alert">{fault}</p>{/if}
