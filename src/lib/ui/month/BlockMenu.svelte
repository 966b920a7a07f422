<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
	import { isAlone, ownBlocks, type Block } from '$lib/core/fit';
	import { formById } from '$lib/core/forms';
	import { mayHold, wishById } from '$lib/core/wish';
	import { plannablePages } from '$lib/core/paper';
	import { focusLater } from '../focus';
	import { blockName } from './block-name';
	import type { MonthDesk } from './month-desk.svelte';
	import type { PinTo } from './moves';

	let { desk, block, page }: { desk: MonthDesk; block: Block; page: number } = $props();

	const wish = $derived(wishById(desk.wishes, block.wish));
	const held = $derived(wish?.pin ?? wish?.spot);
	const hosts = $derived(
		ownBlocks(desk.run).filter(
			(other) =>
				mayHold(desk.wishes, other.wish, block.wish) && formById(other.form)?.rooms !== undefined
		)
	);
	const drawn = $derived(desk.month.drawn?.pages.includes(page) ?? false);
	const spread = $derived(block.pieces.length > 1);
	const targets = $derived(
		plannablePages(desk.plan.notebook)
			.map(({ number }) => number)
			.filter((number) => number !== block.pieces[0].page && (!spread || number % 2 === 0))
			.slice(0, Math.max(12, desk.run.pages.length + 2))
	);
	function pin(to: PinTo) {
		desk.pin(block, to);
		// The block may come up on another page, and its button with it.
		focusLater(`[data-block-menu="${block.wish}"]`);
	}

	function takeOut() {
		desk.takeOut(block.wish);
		focusLater(`[data-block-menu="${block.wish}"]`);
	}
	function into(host: string) {
		desk.into(block.wish, host);
		focusLater(`[data-block-menu="${block.wish}"]`);
	}

	const item = 'cursor-pointer px-3 py-1 data-highlighted:bg-chosen';
</script>

<DropdownMenu.Root>
	<DropdownMenu.Trigger
		data-block-menu={block.wish}
		class="min-h-6 min-w-6 rounded-[3px] px-1 text-left hover:bg-chosen"
	>
		<span data-name class="text-[0.95rem]">{blockName(block)}</span>
		{#if drawn}<span class="text-sm text-ink-soft">drawn</span>
		{:else if wish && isAlone(wish)}<span class="text-sm text-calm">alone here</span>
		{:else if held}<span class="text-sm text-calm">stays here</span>{/if}
		<span class="sr-only">on page {page}</span>
	</DropdownMenu.Trigger>
	<DropdownMenu.Content
		strategy="fixed"
		align="start"
		collisionPadding={8}
		class="z-40 max-h-96 w-64 overflow-auto border border-ink-soft bg-field py-1 shadow-md"
	>
		<DropdownMenu.Item class={item} onSelect={() => (desk.chosen = block.wish)}
			>Edit</DropdownMenu.Item
		>
		{#if wish && !drawn && !wish.weeks}
			{#if held}
				<DropdownMenu.Item class={item} onSelect={() => pin('free')}>Let it move</DropdownMenu.Item>
			{:else}
				<DropdownMenu.Item class={item} onSelect={() => pin('here')}>Keep it here</DropdownMenu.Item
				>
			{/if}
			{#if !block.host}
				<DropdownMenu.Item
					class={item}
					onSelect={() =>
						desk.edit(wish.id, {
							alone: isAlone(wish) ? undefined : true,
							...(wish.pin ? { pin: { ...wish.pin, alone: undefined } } : {})
						})}
					>{isAlone(wish)
						? 'Let others stand with it'
						: 'Give it a page to itself'}</DropdownMenu.Item
				>
			{/if}
			{#if block.host}
				<DropdownMenu.Item class={item} onSelect={takeOut}
					>Move it to its own page</DropdownMenu.Item
				>
			{/if}
			{#if !spread && hosts.length > 0}
				<DropdownMenu.Sub>
					<DropdownMenu.SubTrigger class={item}>Put it with … ▸</DropdownMenu.SubTrigger>
					<DropdownMenu.SubContent
						class="z-50 max-h-96 overflow-auto border border-ink-soft bg-field py-1 shadow-md"
					>
						{#each hosts as host (host.wish)}
							<DropdownMenu.Item class={item} onSelect={() => into(host.wish)}
								>{blockName(host)}</DropdownMenu.Item
							>
						{/each}
					</DropdownMenu.SubContent>
				</DropdownMenu.Sub>
			{/if}
			<DropdownMenu.Sub>
				<DropdownMenu.SubTrigger class={item}>Send to page … ▸</DropdownMenu.SubTrigger>
				<DropdownMenu.SubContent
					class="z-50 grid max-h-96 grid-cols-4 overflow-auto border border-ink-soft bg-field p-1 shadow-md"
				>
					{#each targets as number (number)}
						<DropdownMenu.Item
							class="cursor-pointer px-2 py-1 text-right data-highlighted:bg-chosen"
							onSelect={() => pin(number)}>{number}</DropdownMenu.Item
						>
					{/each}
				</DropdownMenu.SubContent>
			</DropdownMenu.Sub>
		{/if}
	</DropdownMenu.Content>
</DropdownMenu.Root>
