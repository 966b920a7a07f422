<script lang="ts">
	import { untrack } from 'svelte';
	import Check from '../fields/Check.svelte';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { handToDesk, pictures } from './handed-over';
	import PictureRead from './PictureRead.svelte';
	import { PictureReader } from './picture-reader.svelte';
	import type { RecordsDesk } from './records-desk.svelte';

	interface Props {
		desk: MonthDesk;
		records: RecordsDesk;
		/** Where a simulated camera is to be found. */
		camera: string | undefined;
		/** Whether this is another device's screen, or the one that hears of its pictures. */
		shared: 'elsewhere' | 'here' | undefined;
	}
	/** Pages that were filled in on paper, read from photographs. */
	let { desk, records, camera, shared }: Props = $props();

	const reader = untrack(() => new PictureReader(desk, records));
	$effect(() => () => reader.close());
	$effect(() =>
		shared === 'here' ? pictures(desk.id, (picture) => reader.add([picture])) : undefined
	);

	let handed = $state(0);
	let trouble = $state<string>();
	async function hand(input: HTMLInputElement) {
		const [picture] = input.files ?? [];
		input.value = '';
		if (!picture) return;
		trouble = await handToDesk(desk.id, picture);
		if (!trouble) handed += 1;
	}

	function chosen(input: HTMLInputElement) {
		reader.add([...(input.files ?? [])]);
		// The same picture may be chosen again.
		input.value = '';
	}
</script>

<div class="flex flex-col gap-5 py-3">
	<div class="flex flex-wrap items-center gap-x-6 gap-y-3">
		<label class="button button-main relative inline-flex cursor-pointer items-center">
			<input
				class="absolute inset-0 cursor-pointer opacity-0"
				type="file"
				accept="image/*"
				multiple
				onchange={(event) => chosen(event.currentTarget)}
			/>
			Choose photographs of pages
		</label>
		<Check
			label="Keep the photographs too"
			checked={reader.keepsPictures}
			onchange={(keeps) => reader.keepPictures(keeps)}
		/>
		{#if shared === 'elsewhere'}
			<label class="button relative inline-flex cursor-pointer items-center">
				<input
					class="absolute inset-0 cursor-pointer opacity-0"
					type="file"
					accept="image/*"
					capture="environment"
					onchange={(event) => hand(event.currentTarget)}
				/>
				Photograph for the desk’s screen
			</label>
			<p role="status">
				{handed === 0
					? 'It lies there a moment later, where this month’s Keep by photograph is open.'
					: `${handed === 1 ? 'One picture' : `${handed} pictures`} handed over.`}
			</p>
			{#if trouble}<p role="alert" class="text-caution">{trouble}</p>{/if}
		{/if}
		{#if reader.pictures.length === 0}
			<p class="max-w-prose flex-1 text-ink-soft">
				One page a picture, from straight above, its dots in view. They stay on this machine, and
				nothing is saved before you have looked at it. Tried out on simulated photographs only.
				{#if camera}<a class="underline" href={camera}>Simulated photographs to try</a>{/if}
			</p>
		{/if}
	</div>
	{#each reader.pictures as picture (picture.id)}
		<PictureRead {desk} {reader} {picture} />
	{/each}
</div>
