import { kindOf, type Block } from '$lib/core/fit';
import type { Wish } from '$lib/core/wish';

/** What a wish is called on the screens. */
export function nameOf(wish: Wish): string {
	return wish.title || kindOf(wish).name;
}

/** What a block is called on the screens. */
export function blockName({ as }: Block): string {
	const name = nameOf(as);
	return as.part ? `${name}, week ${as.part.week}` : name;
}

/** What tells a block from all others of a run. */
export function blockKey({ wish, as, pieces }: Block): string {
	return `${wish} ${as.part?.week ?? ''} ${as.part?.page ?? ''} ${pieces[0].page}`;
}
