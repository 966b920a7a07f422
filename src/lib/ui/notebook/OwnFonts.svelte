<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { textOf } from '$lib/ui/send';
	import { numberWords } from '$lib/ui/words';
	import { deleteWithUndo } from '$lib/ui/undo-toast';
	import Select from '../fields/Select.svelte';

	interface Font {
		readonly id: string;
		readonly name: string;
		readonly use: 'hand' | 'lettering' | 'both';
		readonly letters: number;
	}
	let { fonts }: { fonts: readonly Font[] } = $props();
	const id = $props.id();

	const uses = {
		hand: 'writing',
		lettering: 'drawn letters',
		both: 'writing and drawn letters'
	} as const;

	let use = $state<Font['use']>('both');
	let progress = $state<
		{ kind: 'rest' } | { kind: 'sending' } | { kind: 'refused'; message: string }
	>({ kind: 'rest' });

	async function add(input: HTMLInputElement) {
		const file = input.files?.[0];
		if (!file) return;
		progress = { kind: 'sending' };
		try {
			const response = await fetch(`/app/fonts?use=${use}`, { method: 'POST', body: file });
			const body: unknown = await response.json();
			progress = response.ok
				? { kind: 'rest' }
				: { kind: 'refused', message: textOf(body, 'detail') ?? 'It was refused.' };
		} catch {
			progress = { kind: 'refused', message: 'Horarium does not answer. Try again.' };
		}
		input.value = '';
		await invalidateAll();
	}
</script>

<p class="text-ink-soft">
	Pages are shown and printed in two typefaces with Latin, Greek and Cyrillic letters. The room of
	others stays free for your hand, or is filled from a font file of your own, which is kept here and
	goes into your sheets.
</p>
{#if fonts.length > 0}
	<ul class="flex flex-col gap-1 py-2">
		{#each fonts as font (font.id)}
			<li class="flex flex-wrap items-center gap-x-4">
				<strong class="font-medium">{font.name}</strong>
				<span>{numberWords(font.letters)} letters, for {uses[font.use]}</span>
				<button
					class="button"
					onclick={() => deleteWithUndo(`/app/fonts/${font.id}`, font.name, invalidateAll)}
					aria-label="Take {font.name} away">Take away</button
				>
			</li>
		{/each}
	</ul>
{/if}
<div class="flex flex-wrap items-end gap-4 pt-2">
	<Select
		label="A font for"
		value={use}
		options={(['hand', 'lettering', 'both'] as const).map((value) => ({
			value,
			label: uses[value]
		}))}
		onchange={(value) => (use = value)}
	/>
	<label class="flex min-w-0 flex-col gap-0.5" for={id}>
		<span class="text-sm text-ink-soft">Font file (TTF, OTF or WOFF)</span>
		<input
			{id}
			type="file"
			class="max-w-full"
			accept=".ttf,.otf,.woff"
			onchange={(event) => void add(event.currentTarget)}
		/>
	</label>
</div>
{#if progress.kind === 'sending'}<p role="status">Looking into the file …</p>{/if}
{#if progress.kind === 'refused'}
	<p role="alert" class="bg-caution-ground px-3 py-2">{progress.message}</p>
{/if}
