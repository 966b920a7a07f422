import type { Wish } from '../wish';
import { kindById, purposes } from './kinds';

const rankOf = (kind: string) => purposes.findIndex(({ id }) => id === kindById(kind)?.purpose);

/**
 * Wishes with a new one where it belongs: behind the last that is for the same, or for something earlier in the month's
 * order; a quote stands with the cover and faces it, where nothing else does.
 */
export function withAdded(wishes: readonly Wish[], added: Wish): Wish[] {
	const cover = wishes.find(({ kind }) => kind === 'cover');
	if (added.kind === 'quote' && cover) {
		const faced = cover.facing !== undefined || wishes.some(({ facing }) => facing === cover.id);
		const quote = faced || added.facing || added.pin ? added : { ...added, facing: cover.id };
		return wishes.flatMap((wish) => (wish === cover ? [wish, quote] : [wish]));
	}
	const rank = rankOf(added.kind);
	const before = wishes.findLastIndex(({ kind }) => rankOf(kind) <= rank);
	return wishes.toSpliced(before + 1, 0, added);
}
