import type { Notebook } from '$lib/core/paper';

/** In place of a book: one that is to be added first. */
export const anotherBook = 'another';

/** The books that a month can be planned in, and one that is still to be added. */
export function bookOptions(
	books: readonly { readonly id: string; readonly notebook: Notebook }[]
): { value: string; label: string }[] {
	return [
		...books.map(({ id, notebook }) => ({ value: id, label: notebook.name })),
		{ value: anotherBook, label: 'another book …' }
	];
}
