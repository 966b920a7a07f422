<script lang="ts">
	import { page } from '$app/state';
	import MonthMenu, { type MonthEntry } from './MonthMenu.svelte';
	import Help from './Help.svelte';

	interface Props {
		months: readonly MonthEntry[];
		theme: 'light' | 'dark' | 'system';
	}
	let { months, theme }: Props = $props();

	const current = $derived(
		months.find((month) => month.id === page.params.id && page.route.id?.startsWith('/months')) ??
			months.at(-1)
	);

	/** In the order of work; what belongs to each is reached from there. */
	const places = $derived(
		current
			? [
					{
						name: 'Plan',
						path: '',
						screens: /\/months\/\[id\](\/\(plan\).*|\/compare|\/earlier)?$/
					},
					{ name: 'Draw', path: '/draw', screens: /\/(draw|guide\/\[page\]|sheets|labels)$/ },
					{ name: 'Keep', path: '/keep', screens: /\/keep$/ },
					{ name: 'Look back', path: '/look-back', screens: /\/look-back$/ }
				].map(({ name, path, screens }) => ({
					name,
					href: `/months/${current.id}${path}`,
					here: screens.test(page.route.id ?? '')
				}))
			: []
	);
	const inBooks = $derived(page.route.id?.startsWith('/notebooks'));
</script>

<!-- On a small screen the places stand at the foot, within reach of a thumb. -->
<header
	class="flex items-center gap-x-4 border-b border-hairline bg-sheet px-3 sm:px-5 print:hidden"
>
	<a href="/" class="py-1.5 font-serif text-2xl italic">Horarium</a>
	{#if places.length > 0}
		<nav
			aria-label="Places"
			class="grid grid-flow-col max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-30 max-md:auto-cols-fr max-md:border-t max-md:border-hairline max-md:bg-sheet md:gap-1"
		>
			{#each places as place (place.name)}
				<a
					href={place.href}
					aria-current={place.here ? 'page' : undefined}
					class="flex min-h-11 items-center justify-center border-y-[3px] border-transparent px-1 whitespace-nowrap max-md:border-b-0 md:px-3 md:text-lg {place.here
						? 'font-medium max-md:border-t-calm md:border-b-calm'
						: 'text-ink-soft hover:text-ink'}">{place.name}</a
				>
			{/each}
		</nav>
	{/if}
	<div class="ml-auto flex min-w-0 items-center gap-1">
		{#if current}<MonthMenu {months} {current} />{/if}
		<a
			href="/notebooks"
			aria-current={inBooks ? 'page' : undefined}
			class="flex min-h-11 items-center border-y-[3px] border-transparent px-2 text-lg {inBooks
				? 'border-b-calm font-medium'
				: 'text-ink-soft hover:text-ink'}">Books</a
		>
		<Help {theme} />
	</div>
</header>
