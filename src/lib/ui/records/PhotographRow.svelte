<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { deleteWithUndo } from '../undo-toast';

	interface Photograph {
		readonly id: string;
		readonly monthId: string;
		readonly page: number;
		readonly at: string;
	}
	interface Props {
		photographs: readonly Photograph[];
		locale: string;
		/** What the page of one shows, in a few words. */
		nameOf: (photograph: Photograph) => string;
	}
	/** Photographs of pages as they were drawn and filled in, in the order of the pages. */
	let { photographs, locale, nameOf }: Props = $props();

	const days = $derived(new Intl.DateTimeFormat(locale, { dateStyle: 'medium' }));
	const address = (id: string) => `/app/photographs/${id}`;
	const remove = ({ id, page }: Photograph) =>
		deleteWithUndo(address(id), `Photograph of page ${page}`, invalidateAll);
</script>

<section aria-label="On paper" class="border-t border-hairline py-4" id="photographs">
	<h2 class="pb-2 text-2xl">On paper</h2>
	<ul class="grid grid-cols-2 gap-5 sm:grid-cols-3 lg:grid-cols-4">
		{#each photographs as photograph (photograph.id)}
			{@const { id, page, at } = photograph}
			<li class="flex flex-col">
				<a href={address(id)} target="_blank" rel="noopener" data-sveltekit-reload>
					<img
						class="aspect-3/4 w-full border border-hairline bg-field object-contain"
						src={address(id)}
						alt="Page {page}, {nameOf(photograph)}"
						loading="lazy"
						decoding="async"
					/>
				</a>
				<p class="flex flex-wrap items-baseline gap-x-2 pt-1 leading-tight">
					<span class="font-serif text-lg text-rubric">{page}</span>
					<span>{nameOf(photograph)}</span>
				</p>
				<p class="flex items-baseline gap-2 text-sm text-ink-soft">
					<time datetime={at}>{days.format(new Date(at))}</time>
					<button
						class="button button-quiet ml-auto min-h-8 print:hidden"
						aria-label="Delete the photograph of page {page}"
						onclick={() => remove(photograph)}>Delete</button
					>
				</p>
			</li>
		{/each}
	</ul>
</section>
