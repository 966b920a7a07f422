<script lang="ts">
	import { page } from '$app/state';

	let { children } = $props();
	const places = [
		{ name: 'Books', href: '/notebooks' },
		{ name: 'Your hand', href: '/notebooks/hand' },
		{ name: 'Lettering and quotes', href: '/notebooks/lettering' },
		{ name: 'Printers', href: '/notebooks/printer' },
		{ name: 'Backups', href: '/notebooks/everything' },
		{ name: 'Tablet beside the book', href: '/notebooks/tablet' }
	];
</script>

<nav aria-label="Books and tools" class="flex flex-wrap gap-4 px-5 pt-3">
	{#each places as { name, href } (href)}
		<a
			{href}
			aria-current={page.url.pathname === href ? 'page' : undefined}
			class="underline-offset-4 hover:underline aria-[current]:font-medium aria-[current]:underline"
			>{name}</a
		>
	{/each}
</nav>
{@render children()}
