<script module lang="ts">
	/** A month to go to, and the name of its book. */
	export interface MonthEntry {
		readonly id: string;
		readonly month: string;
		readonly book: string;
	}
</script>

<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
	import { monthWords } from '../words';

	/** The month one works on, and everything that is done with a month as a whole. */
	let { months, current }: { months: readonly MonthEntry[]; current: MonthEntry } = $props();

	const item = 'block px-3 py-1.5 data-highlighted:bg-chosen';
	/** The latest ones; all of them are one click away. */
	const mostShown = 8;
	const shown = $derived(
		months.filter((month, at) => at >= months.length - mostShown || month.id === current.id)
	);
</script>

{#snippet link(href: string, words: string, hint?: string)}
	<DropdownMenu.Item>
		{#snippet child({ props })}
			<a {...props} {href} class={item}
				>{words}
				{#if hint}<span class="text-sm text-ink-soft">{hint}</span>{/if}</a
			>
		{/snippet}
	</DropdownMenu.Item>
{/snippet}

<DropdownMenu.Root>
	<DropdownMenu.Trigger class="button min-w-0 shrink" data-testid="month-menu">
		<span class="truncate"
			>{monthWords(current.month)}<span class="ml-1 text-ink-soft max-lg:hidden">
				in {current.book}</span
			></span
		>
		<span aria-hidden="true">▾</span>
	</DropdownMenu.Trigger>
	<DropdownMenu.Content
		strategy="fixed"
		align="end"
		collisionPadding={8}
		class="z-40 max-h-(--bits-floating-available-height) w-72 max-w-[calc(100vw-1rem)] overflow-y-auto border border-ink-soft bg-field py-1 shadow-md"
	>
		{@render link(`/months/${current.id}/sheets`, 'Print, save or share this month')}
		{@render link(`/months/${current.id}/compare`, 'Compare with another book or month')}
		{@render link(`/months/${current.id}/earlier`, 'Earlier versions')}
		<DropdownMenu.Separator class="my-1 h-px bg-hairline" />
		{#each shown as month (month.id)}
			{@render link(`/months/${month.id}`, monthWords(month.month), month.book)}
		{/each}
		<DropdownMenu.Separator class="my-1 h-px bg-hairline" />
		{@render link('/months', 'All months: plan another, import')}
	</DropdownMenu.Content>
</DropdownMenu.Root>
