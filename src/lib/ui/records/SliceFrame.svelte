<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		name: string;
		/** Where it stands in the book. */
		where: string;
		/** The colours of its page. */
		style?: string;
		children: Snippet;
	}
	/** What one thing has of a day, under its name. */
	let { name, where, style, children }: Props = $props();
</script>

<section
	aria-label={name}
	class="grid gap-x-6 gap-y-2 border-t border-hairline py-3 sm:grid-cols-[9rem_minmax(0,1fr)]"
	{style}
>
	<div class="flex flex-wrap items-baseline gap-x-2 sm:block">
		<h3 class="text-lg">{name}</h3>
		<p class="text-sm text-ink-soft">{where}</p>
	</div>
	{@render children()}
</section>
