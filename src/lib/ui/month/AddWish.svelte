<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
	import { kindById, kinds } from '$lib/core/catalogue';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk }: { desk: MonthDesk } = $props();

	/** What most months hold; everything else is on the screen of kinds. */
	const usual = ['cover', 'month-calendar', 'habits', 'mood', 'spending', 'brain-dump'].flatMap(
		(id) => kindById(id) ?? []
	);
</script>

<DropdownMenu.Root>
	<DropdownMenu.Trigger class="button"
		>Add a page <span aria-hidden="true">▾</span></DropdownMenu.Trigger
	>
	<DropdownMenu.Portal>
		<DropdownMenu.Content
			align="start"
			class="z-40 w-80 border border-ink-soft bg-field py-1 shadow-md"
		>
			{#each usual as kind (kind.id)}
				<DropdownMenu.Item
					onSelect={() => desk.add(kind.id)}
					class="cursor-pointer px-3 py-1.5 data-highlighted:bg-chosen"
				>
					<span class="block font-serif text-lg leading-tight">{kind.name}</span>
					<span class="block text-sm text-ink-soft">{kind.about}</span>
				</DropdownMenu.Item>
			{/each}
			<DropdownMenu.Separator class="my-1 h-px bg-hairline" />
			<DropdownMenu.Item>
				{#snippet child({ props })}
					<a
						{...props}
						href="/months/{desk.id}/kinds"
						class="block px-3 py-1.5 data-highlighted:bg-chosen"
						>All {kinds.length} kinds, drawn …</a
					>
				{/snippet}
			</DropdownMenu.Item>
		</DropdownMenu.Content>
	</DropdownMenu.Portal>
</DropdownMenu.Root>
