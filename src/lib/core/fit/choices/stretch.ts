import { kindOf } from './choices';
import type { Part } from './parts';

/** Where a filler may stand: beside or after what comes before `from` in the list, beside or before what comes from `to` on. */
export interface Stretch {
	readonly from: number;
	readonly to: number;
}

/**
 * The stretch of the list that each filler belongs to (common practice): after the opening and the calendar, before the
 * weeks, unless the list puts it after them; what opens the month stays with the opening, what looks back comes last.
 * `free` are all parts whose place is open, in the list's order, `ordered` which of them are no fillers.
 */
export function stretchOf(free: readonly Part[], ordered: readonly Part[], filler: Part): Stretch {
	const [from, to] = among(ordered, free, filler);
	const indexOf = (place: number) => {
		const part = ordered[place];
		return part ? free.indexOf(part) : free.length;
	};
	return { from: indexOf(from), to: indexOf(to) };
}

/** The same by places among those that are no fillers. */
function among(
	ordered: readonly Part[],
	free: readonly Part[],
	filler: Part
): readonly [from: number, to: number] {
	const all = ordered.length;
	const opening = endOfOpening(ordered);
	const firstWeek = ordered.findIndex(isWeek);
	const lastWeek = ordered.findLastIndex(isWeek) + 1;
	const closing = all - countAtEnd(ordered, ({ wish }) => kindOf(wish).purpose === 'review');
	const before = ordered.filter((part) => free.indexOf(part) < free.indexOf(filler)).length;
	const { purpose } = kindOf(filler.wish);
	// It may always face the cover.
	if (purpose === 'open') return [0, before <= opening ? Math.max(1, opening) : closing];
	if (purpose === 'review') return [Math.max(before, lastWeek), all];
	if (firstWeek < 0) return [Math.min(opening, closing), closing];
	if (before <= firstWeek) return [Math.min(opening, firstWeek), firstWeek];
	if (before < lastWeek) return [firstWeek, lastWeek];
	return [lastWeek, Math.max(lastWeek, closing)];
}

const isWeek = ({ wish }: Part) => wish.part !== undefined;

/** How many items at the head of the order open the month: cover and the like, and the calendar after them. */
function endOfOpening(ordered: readonly Part[]): number {
	const opens = ({ wish }: Part) => kindOf(wish).purpose === 'open' || kindOf(wish).ownSpread;
	const end = ordered.findIndex((part) => !opens(part));
	return end < 0 ? ordered.length : end;
}

function countAtEnd(parts: readonly Part[], holds: (part: Part) => boolean): number {
	const last = parts.findLastIndex((part) => !holds(part));
	return parts.length - 1 - last;
}
