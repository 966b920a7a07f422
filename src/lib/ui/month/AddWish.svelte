<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
	import { kindById, kinds } from '$lib/core/catalogue';
	import type { Wish } from '$lib/core/wish';
	import type { MonthDesk } from './month-desk.svelte';

	/** Adds a wish to the month, or to what lives in another one's rooms. */
	let { desk, host }: { desk: MonthDesk; host?: Wish } = $props();

	/** What most months hold; everything else is on the screen of kinds. */
	const pages = [
		'cover',
		'month-calendar',
		'dashboard',
		'habits',
		'mood',
		'spending',
		'brain-dump'
	];
	/** What stands beside a calendar or on a page with others. */
	const small = [
		'tasks',
		'goals',
		'events',
		'quote',
		'mood',
		'habits',
		'follower-counts',
		'currently'
	];
	/** What repeats on the pages of every week, or is seen all through them. */
	const weekly = [
		'tasks',
		'month-calendar',
		'week-tracker',
		'meals',
		'quote',
		'currently',
		'task-bank',
		'notes'
	];
	const usual = $derived(
		(host?.weeks ? weekly : host ? [...small, 'notes'] : pages).flatMap((id) => kindById(id) ?? [])
	);

	/** What is added is opened, and is where the hand goes on. */
	function add(kind: string) {
		if (host) desk.addMember(host.id, kind);
		else desk.add(kind);
		added = true;
	}

	let added = false;

	/** The menu gives the focus back to its button; the new wish's settings take it. */
	function closed(event: Event) {
		if (!added) return;
		added = false;
		event.preventDefault();
		desk.entersSettings = true;
	}
</script>

<DropdownMenu.Root>
	<DropdownMenu.Trigger
		class="button {host ? 'self-start text-sm' : ''}"
		data-testid={host ? 'add-member' : 'add-wish'}
		>{host ? 'Put something with it' : 'Add a page'}
		<span aria-hidden="true">▾</span></DropdownMenu.Trigger
	>
	<DropdownMenu.Content
		strategy="fixed"
		align="start"
		onCloseAutoFocus={closed}
		class="z-40 max-h-(--bits-floating-available-height) overflow-y-auto w-80 max-w-[calc(100vw-1rem)] border border-ink-soft bg-field py-1 shadow-md"
	>
		{#each usual as kind (kind.id)}
			<DropdownMenu.Item
				onSelect={() => add(kind.id)}
				class="cursor-pointer px-3 py-1.5 data-highlighted:bg-chosen"
			>
				<span class="block font-serif text-lg leading-tight">{kind.name}</span>
				<span class="block text-sm text-ink-soft">{kind.about}</span>
			</DropdownMenu.Item>
		{/each}
		{#if !host}
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
		{/if}
	</DropdownMenu.Content>
</DropdownMenu.Root>
