<script lang="ts">
	import { Dialog } from 'bits-ui';
	import { invalidate } from '$app/navigation';
	import { page } from '$app/state';
	import { toast } from 'svelte-sonner';
	import { begin, idGiver, isMeant, kinds, purposes } from '$lib/core/catalogue';
	import type { Wish } from '$lib/core/wish';
	import TextField from '../fields/TextField.svelte';
	import KindCard from './KindCard.svelte';
	import KindDraft from './KindDraft.svelte';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { send, troubleOf } from '../send';
	import { deleteWithUndo } from '../undo-toast';

	/** All kinds of pages, drawn for this book: to be looked through, tried and added. */
	let { desk, onclose }: { desk: MonthDesk; onclose: () => void } = $props();

	/** A kind to choose: one of the catalogue, or the person's own. */
	interface Entry {
		readonly key: string;
		readonly name: string;
		readonly about: string;
		readonly wish: Wish;
	}

	const kept = $derived(page.data.ownKinds ?? []);
	let search = $state('');
	let chosen = $state<string>();
	let newName = $state('');
	/** The chosen kind as it was changed here; nothing of it is kept until it is added. */
	let draft = $state.raw<Wish>();

	const own = $derived<Entry[]>(
		kept.map(({ id, name, wish }) => ({
			key: id,
			name,
			about: `Your own, from ${kinds.find((kind) => kind.id === wish.kind)?.name ?? wish.kind}.`,
			wish
		}))
	);
	const sections = $derived(
		[
			{ id: 'own', name: 'Your own', entries: own },
			...purposes.map(({ id, name }) => ({
				id,
				name,
				entries: kinds
					.filter((kind) => kind.purpose === id)
					.map((kind): Entry => {
						const wish = begin(kind, idGiver([]));
						return { key: kind.id, name: kind.name, about: kind.about, wish };
					})
			}))
		]
			.map((section) => ({ ...section, entries: section.entries.filter(matches) }))
			.filter((section) => section.entries.length > 0)
	);
	const entry = $derived(
		sections.flatMap(({ entries }) => entries).find(({ key }) => key === chosen)
	);
	const isOwn = $derived(kept.some(({ id }) => id === chosen));

	const matches = ({ name, about, wish }: Entry) =>
		isMeant({ name, about, kind: wish.kind }, search);

	function choose(next: Entry) {
		chosen = next.key;
		draft = next.wish;
	}

	function add(name: string, wish: Wish) {
		desk.addWish(wish);
		toast(`${name} was added to the month.`, {
			action: { label: 'Undo', onClick: desk.wayBack() }
		});
	}

	async function rename(event: SubmitEvent) {
		event.preventDefault();
		const answer = await send('PUT', `/app/kinds/${chosen}`, { name: newName.trim() });
		if (answer.kind !== 'ok') return toast.error(troubleOf(answer));
		newName = '';
		await reload();
	}

	const reload = () => invalidate('horarium:month');
</script>

<Dialog.Root open onOpenChange={(open) => !open && onclose()}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-ink/30" />
		<Dialog.Content
			class="fixed inset-y-0 right-0 z-50 grid w-[76rem] max-w-[94vw] gap-6 overflow-auto border-l border-ink-soft bg-desk px-5 py-4 lg:grid-cols-[1fr_24rem] lg:overflow-hidden"
		>
			<div class="min-w-0 lg:overflow-auto lg:pr-2">
				<div class="sticky top-0 z-10 flex flex-wrap items-end gap-4 bg-desk pb-3">
					<Dialog.Title class="font-serif text-3xl">What could you keep?</Dialog.Title>
					<label class="flex flex-col gap-0.5">
						<span class="sr-only">Search</span>
						<input
							class="field w-64"
							type="search"
							placeholder="Search, in your own words"
							bind:value={search}
							autocomplete="off"
						/>
					</label>
					<Dialog.Close class="button ml-auto">Close</Dialog.Close>
				</div>
				{#each sections as section (section.id)}
					<h2 class="border-t border-hairline pt-3 pb-1 text-xl">{section.name}</h2>
					<ul class="grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-3 pb-4">
						{#each section.entries as item (item.key)}
							<KindCard
								name={item.name}
								about={item.about}
								wish={item.wish}
								plan={desk.plan}
								chosen={item.key === chosen}
								onchoose={() => choose(item)}
								onadd={() => add(item.name, item.wish)}
							/>
						{/each}
					</ul>
				{:else}
					<p class="py-6">Nothing found. Try a shorter word, such as “log” or “day”.</p>
				{/each}
			</div>
			<section
				aria-label="The chosen kind"
				class="self-start bg-sheet p-4 max-lg:order-first lg:max-h-full lg:overflow-auto"
			>
				{#if entry && draft}
					{@const wish = draft}
					<KindDraft
						{wish}
						plan={desk.plan}
						name={entry.name}
						onchange={(next) => (draft = next)}
						onadd={() => add(entry.name, wish)}
						onkept={reload}
					/>
					{#if isOwn}
						<form class="mt-4 flex items-end gap-2" onsubmit={rename}>
							<TextField
								label="Rename it"
								value={newName}
								placeholder={entry.name}
								most={100}
								onchange={(text) => (newName = text)}
							/>
							<button class="button" disabled={newName.trim() === ''}>Rename</button>
						</form>
						<button
							class="button mt-3"
							onclick={() => deleteWithUndo(`/app/kinds/${entry.key}`, entry.name, reload)}
							>Delete this kind</button
						>
					{/if}
				{:else}
					<p class="text-ink-soft">
						Choose a kind to see it larger and change it beside its drawing. On a kind, the key A
						adds it.
					</p>
				{/if}
			</section>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
