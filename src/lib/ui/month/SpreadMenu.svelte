<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
	import type { Spread } from '$lib/core/paper';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk, spread }: { desk: MonthDesk; spread: Spread } = $props();

	const both = $derived([spread.left, spread.right]);
	const inRun = $derived(
		both.filter((number) => desk.run.pages.some((page) => page.number === number))
	);
	const drawn = $derived(both.filter((number) => desk.month.drawn?.pages.includes(number)));
	const pinned = $derived(
		desk.wishes.some(({ pin }) => pin && pin.page >= spread.left && pin.page <= spread.right)
	);
	const item = 'cursor-pointer px-3 py-1 data-highlighted:bg-chosen';
</script>

<DropdownMenu.Root>
	<DropdownMenu.Trigger class="button button-quiet min-h-7 px-2 text-sm"
		>Spread<span class="sr-only"> {spread.left}–{spread.right}</span>
		<span aria-hidden="true">▾</span></DropdownMenu.Trigger
	>
	<DropdownMenu.Content
		strategy="fixed"
		align="end"
		collisionPadding={8}
		class="z-40 max-h-(--bits-floating-available-height) overflow-y-auto w-64 border border-ink-soft bg-field py-1 shadow-md"
	>
		{#if drawn.length === 0}
			<DropdownMenu.Item class={item} onSelect={() => desk.swap(spread.left)}
				>Swap left and right</DropdownMenu.Item
			>
		{/if}
		{#if pinned}
			<DropdownMenu.Item class={item} onSelect={() => desk.lock(spread.left, spread.right, false)}
				>Let everything here move</DropdownMenu.Item
			>
		{/if}
		<DropdownMenu.Item class={item} onSelect={() => desk.lock(spread.left, spread.right, true)}
			>Keep everything here</DropdownMenu.Item
		>
		<DropdownMenu.Separator class="my-1 h-px bg-hairline" />
		{#each inRun as number (number)}
			{@const done = drawn.includes(number)}
			<DropdownMenu.Item class={item} onSelect={() => desk.setDrawn(number, !done)}
				>{done
					? `Page ${number} is not drawn after all`
					: `Page ${number} is drawn in the book`}</DropdownMenu.Item
			>
		{/each}
	</DropdownMenu.Content>
</DropdownMenu.Root>
