<script lang="ts">
	import type { Snippet } from 'svelte';
	import { dragHandle } from 'svelte-dnd-action';
	import { kindById } from '$lib/core/catalogue';
	import { formById } from '$lib/core/forms';
	import type { Wish } from '$lib/core/wish';
	import { focusOn } from '../focus';
	import { isTyping } from '../shell/keys';
	import type { MonthDesk } from './month-desk.svelte';
	import { nameOf } from './block-name';
	import Remedies from './Remedies.svelte';
	import SixDots from './SixDots.svelte';

	interface Props {
		desk: MonthDesk;
		wish: Wish;
		index: number;
		/** The wish in which it lives. */
		host?: Wish;
		/** The list of what stands with it. */
		list: Snippet<[Wish]>;
	}
	let { desk, wish, index, host, list }: Props = $props();

	const kind = $derived(kindById(wish.kind));
	const name = $derived(nameOf(wish));
	const testId = $derived(host ? `${host.id}-member-${index}` : `wish-${index}`);
	const blocks = $derived(desk.run.blocks.filter((block) => block.wish === wish.id));
	/** A whole week says how a set is ruled; a short one has its own ways. */
	const block = $derived(blocks.find(({ as }) => !as.part?.short) ?? blocks[0]);
	const weeks = $derived(new Set(blocks.map(({ as }) => as.part?.week)).size);
	const missing = $derived(desk.run.unplaced.filter((unplaced) => unplaced.wish === wish.id));
	const open = $derived(desk.chosen === wish.id);
	/** Whether it has rooms for others. */
	const roomy = $derived(
		formById(wish.form ?? block?.form ?? kind?.forms[0] ?? '')?.rooms !== undefined
	);
	const members = $derived(wish.members ?? []);
	let folded = $state(false);
	const numbers = $derived(blocks.flatMap(({ pieces }) => pieces.map((piece) => piece.page)));
	const pages = $derived([...new Set([Math.min(...numbers), Math.max(...numbers)])].join('–'));

	function pressed(event: KeyboardEvent) {
		if (isTyping(event)) return;
		if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
			event.preventDefault();
			desk.move(wish.id, event.key === 'ArrowUp' ? -1 : 1);
		} else if (event.key === 'Delete') {
			event.preventDefault();
			remove();
		}
	}

	/** The focus goes to the neighbour. */
	function remove() {
		desk.remove(wish.id);
		void focusOn(
			...(host
				? [`[data-testid="${host.id}-member-${index}"]`, `[data-wish="${host.id}"]`]
				: [`[data-testid="wish-${index}"]`, `[data-testid="wish-${index - 1}"]`]),
			'[data-testid="add-wish"]'
		);
	}
</script>

<div class="group flex items-start gap-1 {host ? '' : 'py-1'}">
	<span
		use:dragHandle
		aria-label="Drag {name} to another place"
		class="flex min-h-9 w-6 shrink-0 cursor-grab items-center justify-center text-ink-soft"
	>
		<SixDots class="h-4" />
	</span>
	<button
		class="flex min-h-9 min-w-0 flex-1 flex-col items-start px-1 pt-1 text-left"
		aria-expanded={open}
		onclick={() => (desk.chosen = open ? undefined : wish.id)}
		onkeydown={pressed}
		data-testid={testId}
		data-wish={wish.id}
	>
		<span class="flex w-full items-baseline gap-2">
			<span class="font-serif {host ? '' : 'text-lg'}">{name}</span>
			{#if kind && kind.name !== name}<span class="truncate text-sm text-ink-soft">{kind.name}</span
				>{/if}
			{#if block}<span class="ml-auto shrink-0 text-sm text-ink-soft">p. {pages}</span>{/if}
		</span>
		{#if block && open}
			{#if wish.weeks}
				<span class="text-sm text-ink-soft"
					>{weeks}
					{weeks === 1 ? 'week' : 'weeks'} on {new Set(numbers).size} pages</span
				>
			{/if}
			{#each block.why as sum, index (index)}
				<span class="text-sm text-ink-soft">{sum}</span>
			{/each}
		{/if}
		{#each missing as { part, reason }, index (index)}
			<span class="text-sm text-caution"
				><strong>No place{part ? ` for ${part}` : ''}.</strong> {reason}.</span
			>
		{/each}
	</button>
	{#if members.length > 0}
		<button
			class="button button-quiet min-h-9 text-sm"
			aria-expanded={!folded}
			aria-label="{folded ? 'Show' : 'Fold away'} what {name} holds"
			onclick={() => (folded = !folded)}>{folded ? `${members.length} ▸` : '▾'}</button
		>
	{/if}
	<!-- Shown on the line that is pointed at, has the focus or is open. -->
	<button
		class="button button-quiet min-h-9 text-sm {open
			? ''
			: 'opacity-0 group-hover:opacity-100 group-focus-within:opacity-100'}"
		aria-label="Remove {name}"
		onclick={remove}>Remove</button
	>
</div>
{#if missing.length > 0}
	<Remedies {desk} wish={wish.id} />
{/if}
{#if open}
	<!-- Loaded when first opened: the month is read far more often than a wish is changed. -->
	{#await import('./WishEditor.svelte') then { default: WishEditor }}
		<WishEditor {desk} {wish} {host} />
	{:catch}
		<p role="alert" class="pb-2 text-sm text-caution">
			Horarium does not answer, so this cannot be changed just now. Close it and open it again.
		</p>
	{/await}
{/if}
{#if !folded && (members.length > 0 || (open && roomy))}
	{@render list(wish)}
{/if}
