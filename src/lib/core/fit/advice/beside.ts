import { arranged, withChanged, type Wish } from '../../wish';
import type { Block } from '../plan/plan';

/**
 * Wishes with a block's sent to a page, to stand there among others: `order` names the wishes of that page from top to
 * bottom, the block's among them. A page's blocks stand in the order of the list as far as they fit that way, so the wish
 * moves there too; over the fold a block begins on the left page.
 */
export function putAmong(
	wishes: readonly Wish[],
	block: Block,
	page: number,
	order: readonly string[]
): readonly Wish[] {
	const here = block.pieces.length > 1 ? page - (page % 2) : page;
	const at = order.indexOf(block.wish);
	const [before, behind] = [order[at - 1], order[at + 1]];
	const others = wishes.map(({ id }) => id).filter((id) => id !== block.wish);
	const next = before === undefined ? others.indexOf(behind ?? '') : others.indexOf(before) + 1;
	const ids = others.toSpliced(next < 0 ? others.length : next, 0, block.wish);
	const stays = !block.host && block.pieces[0].page === here;
	return withChanged(arranged(wishes, undefined, ids), block.wish, (wish) => ({
		...wish,
		pin: stays ? wish.pin && { page: wish.pin.page, alone: wish.pin.alone } : { page: here }
	}));
}
