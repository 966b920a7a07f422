import type { Item } from '$lib/core/forms';

/** Names as one edits them, one a line, a shorter form after a slash: "Feed the dough / Dough". */
export function itemsText(items: readonly Item[]): string {
	return items.map(({ name, short }) => (short ? `${name} / ${short}` : name)).join('\n');
}

/** The items that such a text names; empty lines name none. */
export function parseItems(text: string, before: readonly Item[]): Item[] {
	return text.split('\n').flatMap((line) => {
		const [name = '', short = ''] = line.split(' / ').map((part) => part.trim());
		if (!name) return [];
		// What else is known about an item stays with its name.
		const known = before.find((item) => item.name === name) ?? { name };
		return [{ ...known, short: short || undefined }];
	});
}
