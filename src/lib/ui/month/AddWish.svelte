<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
	import { kinds } from '$lib/core/catalogue';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk }: { desk: MonthDesk } = $props();
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
			{#each kinds as kind (kind.id)}
				<DropdownMenu.Item
					onSelect={() => desk.add(kind.id)}
					class="cursor-pointer px-3 py-1.5 data-highlighted:bg-chosen"
				>
					<span class="block font-serif text-lg leading-tight">{kind.name}</span>
					<span class="block text-sm text-ink-soft">{kind.about}</span>
				</DropdownMenu.Item>
			{/each}
		</DropdownMenu.Content>
	</DropdownMenu.Portal>
</DropdownMenu.Root>
