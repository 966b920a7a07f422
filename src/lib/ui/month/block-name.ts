import { kindOf, type Block } from '$lib/core/fit';

/** What a block is called on the screens. */
export function blockName({ as }: Block): string {
	const name = as.title || kindOf(as).name;
	return as.part ? `${name}, week ${as.part.week}` : name;
}

/** What tells a block from all others of a run. */
export function blockKey({ wish, as, pieces }: Block): string {
	return `${wish} ${as.part?.week ?? ''} ${as.part?.page ?? ''} ${pieces[0].page}`;
}
