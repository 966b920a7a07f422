import { kindOf, type Block, type Run } from '$lib/core/fit';
import { blocksOn } from '$lib/core/page';
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

/** What stands on pages of a run, each thing once; what lives in another is not told. */
export function namesOn(run: Run, pages: readonly number[]): string {
	const blocks = pages.flatMap((page) => blocksOn(run, page)).filter(({ host }) => !host);
	return [...new Set(blocks.map(blockName))].join(', ');
}

/** What tells a block from all others of a run. */
export function blockKey({ wish, as, pieces }: Block): string {
	return `${wish} ${as.part?.week ?? ''} ${as.part?.page ?? ''} ${pieces[0].page}`;
}
