<script lang="ts">
	import { monthWords } from '$lib/ui/words';
	import { page } from '$app/state';
	import { DropdownMenu } from 'bits-ui';
	import ThemeSwitch from './ThemeSwitch.svelte';
	import Shortcuts from './Shortcuts.svelte';

	interface Props {
		months: readonly { readonly id: string; readonly month: string }[];
		theme: 'light' | 'dark' | 'system';
	}
	let { months, theme }: Props = $props();

	const current = $derived(
		months.find((month) => month.id === page.params.id && page.route.id?.startsWith('/months')) ??
			months.at(-1)
	);
	const pageNumber = $derived(page.params.page);
	const places = $derived([
		{ name: 'Notebook', href: '/notebooks', here: page.route.id?.startsWith('/notebooks') },
		...(current
			? [
					{
						name: 'Month',
						href: `/months/${current.id}`,
						here: page.route.id === '/months/[id]'
					},
					{
						name: 'Kinds',
						href: `/months/${current.id}/kinds`,
						here: page.route.id?.endsWith('/kinds')
					},
					{
						name: 'Page desk',
						href: `/months/${current.id}/pages/${pageNumber ?? 'first'}`,
						here: page.route.id?.includes('/pages/')
					},
					{
						name: 'Guide',
						href: `/months/${current.id}/guide/${pageNumber ?? 'first'}`,
						here: page.route.id?.includes('/guide/')
					},
					{
						name: 'Make',
						href: `/months/${current.id}/make`,
						here: page.route.id?.endsWith('/make')
					},
					{
						name: 'Keep',
						href: `/months/${current.id}/keep`,
						here: page.route.id?.endsWith('/keep')
					},
					{
						name: 'Look back',
						href: `/months/${current.id}/look-back`,
						here: page.route.id?.endsWith('/look-back')
					},
					{
						name: 'Sheets',
						href: `/months/${current.id}/sheets`,
						// Labels are reached from there.
						here: /\/(sheets|labels)$/.test(page.route.id ?? '')
					}
				]
			: [])
	]);
</script>

<header
	class="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-hairline bg-sheet px-5 py-1.5 print:hidden"
>
	<a href="/" class="font-serif text-2xl italic">Horarium</a>
	<nav aria-label="Screens" class="flex flex-wrap gap-1">
		{#each places as place (place.name)}
			<a
				href={place.href}
				aria-current={place.here ? 'page' : undefined}
				class="border-b-2 px-2 py-1 {place.here
					? 'border-ink font-medium'
					: 'border-transparent hover:border-hairline'}">{place.name}</a
			>
		{/each}
	</nav>
	<div class="ml-auto flex flex-wrap items-center gap-2">
		{#if current}
			<DropdownMenu.Root>
				<DropdownMenu.Trigger class="button button-quiet font-serif text-lg">
					{monthWords(current.month)} <span aria-hidden="true">▾</span>
				</DropdownMenu.Trigger>
				<DropdownMenu.Content
					strategy="fixed"
					align="end"
					class="z-40 max-h-(--bits-floating-available-height) overflow-y-auto min-w-48 border border-ink-soft bg-field py-1 shadow-md"
				>
					{#each months as month (month.id)}
						<DropdownMenu.Item>
							{#snippet child({ props })}
								<a
									{...props}
									href="/months/{month.id}"
									class="block px-3 py-1.5 data-highlighted:bg-chosen">{monthWords(month.month)}</a
								>
							{/snippet}
						</DropdownMenu.Item>
					{/each}
					<DropdownMenu.Separator class="my-1 h-px bg-hairline" />
					<DropdownMenu.Item>
						{#snippet child({ props })}
							<a {...props} href="/months" class="block px-3 py-1.5 data-highlighted:bg-chosen"
								>All months, or plan another …</a
							>
						{/snippet}
					</DropdownMenu.Item>
				</DropdownMenu.Content>
			</DropdownMenu.Root>
		{/if}
		<ThemeSwitch {theme} />
		<Shortcuts />
	</div>
</header>
