import type { RoomPlace } from '../../forms';
import type { Size } from '../../paper';
import type { Wish } from '../../wish';
import type { Taken } from '../members/footprint';
import { spreadChoices, type SpreadChoice } from './options';
import { obstaclesOn, type Fixed } from './pinned';
import type { Plan } from '../plan/plan';
import { facing, forWeeks, inView, type Sheet } from '../choices/sheets';

/** Two facing pages, as weeks take them and as anything else does, where it can. */
export interface Pair {
	readonly all?: Facing;
	readonly weeks: Facing & {
		/** What stays in view beside the weeks. */
		readonly inView: readonly RoomPlace[];
		/** The two pages as a whole: a page of a week is the week's own. */
		readonly pages: readonly [Size, Size];
	};
}

/** Their sizes, and what is held on them. */
interface Facing {
	readonly left: Size;
	readonly right: Size;
	readonly taken: Taken;
}

/** The pair that begins on a page; undefined where nothing can lie over its fold. */
export function pairOf(
	sheets: readonly Sheet[],
	index: number,
	fixed: readonly Fixed[]
): Pair | undefined {
	const facingOf = ([left, right]: readonly [Sheet, Sheet]): Facing => {
		const taken: Taken = [obstaclesOn(left, fixed), obstaclesOn(right, fixed)];
		return { left: left.size, right: right.size, taken };
	};
	const [left, right] = [sheets[index], sheets[index + 1]];
	const weeks = facing(sheets.map(forWeeks), index);
	if (!left || !right || !weeks) return undefined;
	const all = facing(sheets, index);
	return {
		...(all ? { all: facingOf(all) } : {}),
		weeks: {
			...facingOf(weeks),
			inView: [...inView(left, 0), ...inView(right, 1)],
			pages: [left.size, right.size]
		}
	};
}

/** What a wish can take of a pair of pages. */
export function overPair(plan: Plan, wish: Wish, { all, weeks }: Pair): SpreadChoice[] {
	if (!wish.part) return all ? spreadChoices(plan, wish, all.left, all.right, all.taken) : [];
	const [left, right] = weeks.pages;
	return spreadChoices(plan, wish, weeks.left, weeks.right, weeks.taken, weeks.inView).map(
		(choice) => ({
			...choice,
			left: left.h,
			right: right.h,
			...(choice.covers ? { covers: [[{ x: 0, y: 0, ...left }], [{ x: 0, y: 0, ...right }]] } : {})
		})
	);
}
