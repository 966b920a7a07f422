import { allWishes, sameContent, type Wish } from '../../wish';
import type { KeptMonth } from './plan';

const settings = [
	'month',
	'weekStart',
	'aim',
	'sizes',
	'titles',
	'theme',
	'drawn',
	'cuts'
] as const;

/** What tells a month from what it was before. */
export interface MonthChanges {
	/** Wishes, members included, that came, went, or are not what they were. */
	readonly added: readonly Wish[];
	readonly removed: readonly Wish[];
	readonly changed: readonly Wish[];
	readonly settings: readonly (typeof settings)[number][];
	/** Whether the wishes that stayed stand in another order or in other rooms. */
	readonly moved: boolean;
}

/** What changed from one state of a month to a later one. */
export function monthChanges(before: KeptMonth, after: KeptMonth): MonthChanges {
	const [earlier, later] = [allWishes(before.wishes), allWishes(after.wishes)];
	const was = new Map(earlier.map((wish) => [wish.id, wish]));
	const is = new Set(later.map(({ id }) => id));
	const stayed = (ids: readonly Wish[]) =>
		ids.flatMap(({ id }) => (was.has(id) && is.has(id) ? [id] : [])).join();
	return {
		added: later.filter(({ id }) => !was.has(id)),
		removed: earlier.filter(({ id }) => !is.has(id)),
		changed: later.filter((wish) => {
			const old = was.get(wish.id);
			return old && !sameContent(alone(old), alone(wish));
		}),
		settings: settings.filter((name) => !sameContent(before[name], after[name])),
		moved: stayed(earlier) !== stayed(later)
	};
}

/** A wish without what lives in its rooms, which is told by itself. */
const alone = (wish: Wish): Wish => ({ ...wish, members: undefined });
