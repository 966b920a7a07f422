<script lang="ts">
	import { untrack, type Snippet } from 'svelte';
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
	const missing = $derived(desk.run.unplaced.filter((unplaced) => unplaced.wish === wish.id));
	const open = $derived(desk.chosen === wish.id);
	/** Whether it has rooms for others. */
	const roomy = $derived(
		formById(wish.form ?? block?.form ?? kind?.forms[0] ?? '')?.rooms !== undefined
	);
	const members = $derived(wish.members ?? []);
	/** Those that found no place with it. */
	const homeless = $derived(
		members.filter(({ id }) => desk.run.unplaced.some((unplaced) => unplaced.wish === id))
	);
	/** So many stand below their host without being asked for. */
	const mostShown = 3;
	let folded = $state(untrack(() => members.length > mostShown));
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

<div
	class="group flex items-start rounded-[3px] {open ? 'bg-chosen' : 'hover:bg-chosen'} {host
		? 'text-[0.95em]'
		: ''}"
>
	<span
		use:dragHandle
		aria-label="Drag {name} to another place"
		class="on-hand flex min-h-8 w-5 shrink-0 cursor-grab items-center justify-center text-ink-soft"
	>
		<SixDots class="h-3.5" />
	</span>
	<button
		class="flex min-h-8 min-w-0 flex-1 flex-col items-start px-1 pt-1 text-left"
		aria-expanded={open}
		title={kind && kind.name !== name ? kind.name : undefined}
		onclick={() => (desk.chosen = open ? undefined : wish.id)}
		onkeydown={pressed}
		data-testid={testId}
		data-wish={wish.id}
	>
		<span class="flex w-full items-baseline gap-2">
			<span data-name class={open ? 'font-medium' : ''}>{name}</span>
			{#if block}<span class="ml-auto shrink-0 text-[0.9rem] text-rubric"
					><span class="sr-only">page </span>{pages}</span
				>{/if}
		</span>
		{#each missing as { part, reason }, index (index)}
			<span class="text-sm text-caution"
				><strong>No place{part ? ` for ${part}` : ''}.</strong> {reason}.</span
			>
		{/each}
	</button>
	{#if members.length === 0}
		<span class="w-5 shrink-0"></span>
	{:else}
		<button
			class="button button-quiet min-h-8 w-5 px-0 text-sm"
			aria-expanded={!folded}
			aria-label="{folded ? 'Show' : 'Fold away'} what {name} holds"
			onclick={() => (folded = !folded)}>{folded ? '▸' : '▾'}</button
		>
	{/if}
	<button
		class="button button-quiet min-h-8 w-6 px-0 text-sm {open ? '' : 'on-hand'}"
		aria-label="Remove {name}"
		title="Remove"
		onclick={remove}>✕</button
	>
</div>
{#if folded && members.length > 0}
	<button
		class="w-full truncate pb-1 pl-6 text-left text-sm text-ink-soft"
		tabindex="-1"
		aria-hidden="true"
		onclick={() => (folded = false)}>{members.map(nameOf).join(', ')}</button
	>
	{#if homeless.length > 0}
		<p class="pb-1 pl-6 text-sm text-caution">
			<strong>No place</strong> for {homeless.map(nameOf).join(' and ')}.
		</p>
	{/if}
{/if}
{#if missing.length > 0}
	<Remedies {desk} wish={wish.id} />
{/if}
{#if !folded && (members.length > 0 || (open && roomy))}
	{@render list(wish)}
{/if}
