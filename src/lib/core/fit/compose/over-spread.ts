import type { Room } from '../../forms';
import type { Rect, Size } from '../../paper';
import { inOrder } from './arrange';
import { settingOf, type Choice } from '../choices/choices';
import { layoutsOf } from '../choices/layouts-of';
import { footprintOf, type Taken } from '../members/footprint';
import type { Part } from '../choices/parts';
import { obstaclesOn, overFold } from '../problem/pinned';
import type { Plan } from '../plan/plan';
import type { PlannedProblem } from '../problem/problem-of';
import { inRoom, type Seated } from './seated';
import { forWeeks } from '../choices/sheets';
import type { Place } from '../solve';

/** A block on its way into the run. */
export interface Placed {
	readonly part: Part;
	readonly choice: Choice;
	readonly cost: number;
	readonly place: Place;
	/** Over a spread beside which others may stand: what it covers of its pages. */
	readonly covers?: Taken;
	/** Rows by which it was made higher, over a spread, than it was planned. */
	readonly more?: number;
}

/** The largest way to rule a choice over a spread that it has to itself; nothing where none is larger than usual. */
function widest(plan: Plan, choice: Choice, room: Room): Choice | undefined {
	const { inside, form, as } = choice;
	if (inside) return undefined;
	const larger = layoutsOf(form, settingOf(plan, as, form), room)
		.filter(({ generous }) => generous)
		.map(({ room }) => room)
		.sort((a, b) => areaOf(b) - areaOf(a));
	return larger.flatMap((own) => inRoom(plan, choice, own) ?? [])[0];
}

const areaOf = (room: Room) =>
	room.span === 'page' ? room.w * room.h : room.left.w * room.left.h + room.right.w * room.right.h;

/** Whether something lies on a page, wholly or with one half. */
function onBoth({ span, page }: Place, number: number): boolean {
	return page === number || (span === 'spread' && page + 1 === number);
}

/**
 * What lies over a spread, in all of its pages' room, or in that which others leave below it: where it is no less
 * comfortable there.
 */
export function grownOver(
	plan: Plan,
	{ sheets, fixed, air }: PlannedProblem,
	placed: readonly Placed[],
	own: Placed
): Placed {
	const { choice, place, part } = own;
	const [left, right] = [sheets[place.page], sheets[place.page + 1]];
	if (place.span !== 'spread' || part.wish.size || !left || !right) return own;
	if (part.wish.part && (left.under ?? right.under)) return own;
	if ([left, right].some((sheet) => obstaclesOn(sheet, fixed).length > 0)) return own;
	const { gutter } = plan.notebook;
	const others = placed.filter(
		(other) =>
			other !== own && [place.page, place.page + 1].some((page) => onBoth(other.place, page))
	);
	if (others.length === 0) {
		const room: Room = { span: 'spread', left: left.size, right: right.size, gutter };
		return { ...own, choice: widest(plan, choice, room) ?? inRoom(plan, choice, room) ?? choice };
	}
	const { room } = choice;
	// Where others may stand beside it there is no telling what is below.
	if (choice.inside || own.covers || part.wish.part || room.span !== 'spread') return own;
	const feet = others.map(({ place: other }) =>
		other.span === 'page' ? foot(withoutAir(other.rect, air)) : Infinity
	);
	const more = Math.min(left.size.h, right.size.h) - Math.max(room.left.h, room.right.h, ...feet);
	if (more <= 0) return own;
	const higher: Room = {
		...room,
		left: { w: left.size.w, h: room.left.h + more },
		right: { w: right.size.w, h: room.right.h + more }
	};
	const grown = inRoom(plan, choice, higher);
	if (grown?.room.span !== 'spread') return own;
	const grew = Math.max(grown.room.left.h - room.left.h, grown.room.right.h - room.right.h);
	return grew < 0 ? own : { ...own, choice: grown, more: grew };
}

const foot = ({ y, h }: Rect) => y + h;

/** What lies over the fold, against it on both pages. */
export function overSpread(
	planned: PlannedProblem,
	placed: readonly Placed[],
	{ part, choice, cost, place }: Placed
): Seated[] {
	const { sheets } = planned;
	const pages = [sheets[place.page], sheets[place.page + 1]];
	const [left, right] = pages.map((sheet) => (sheet && part.wish.part ? forWeeks(sheet) : sheet));
	const { room } = choice;
	if (place.span !== 'spread' || room.span !== 'spread' || !left || !right) return [];
	const y = left.origin.y + lowered(planned, placed, place.page);
	return [{ choice, room, pieces: overFold(left, right, room, y), discomfort: cost }];
}

/**
 * Rows by which what lies over a spread stands lower: under the cover's word, where the cover has to share its page with it
 * and everything else finds room below.
 */
export function lowered(
	{ sheets, fixed, air }: PlannedProblem,
	placed: readonly Placed[],
	left: number
): number {
	const pages = [left, left + 1];
	const onPages = placed.flatMap(({ part, place }) =>
		place.span === 'page' && pages.includes(place.page)
			? [{ cover: isCover(part), page: place.page, ...withoutAir(place.rect, air) }]
			: []
	);
	const cover = onPages.find(({ cover }) => cover);
	if (!cover) return 0;
	const rows = cover.h + 1;
	const there = pages.every((page) => {
		const sheet = sheets[page];
		if (!sheet || obstaclesOn(sheet, fixed).length > 0) return false;
		const bands = placed.flatMap((other) =>
			bandsOn(other, page, sheet.size).map((band) => ({ ...band, y: band.y + rows }))
		);
		// The other page may have fewer rows.
		if (bands.some((band) => foot(band) > sheet.size.h)) return false;
		const own = onPages.filter((block) => block.page === page).sort(coverFirst);
		return inOrder(sheet.size, bands, own) !== undefined;
	});
	return there ? rows : 0;
}

/** Whether a part of the month is its cover. */
export const isCover = ({ wish }: Part) => wish.kind === 'cover';

/** Puts a cover before what shares its page. */
export const coverFirst = (a: { cover: boolean }, b: { cover: boolean }) =>
	Number(b.cover) - Number(a.cover);

/** What a spread takes of a page, its members included: rows, or only what it covers where others may stand beside it. */
export function bandsOn({ choice, place, covers }: Placed, page: number, size: Size): Rect[] {
	const taken = footprintOf(choice);
	if (place.span !== 'spread' || taken.span !== 'spread') return [];
	const on = page - place.page;
	if (on !== 0 && on !== 1) return [];
	const { h } = on === 0 ? taken.left : taken.right;
	return [...(covers?.[on] ?? [{ x: 0, y: 0, w: size.w, h }])];
}

/** A block's own squares, without those that keep its neighbours away. */
export function withoutAir({ x, y, w, h }: Rect, air: number): Rect {
	return { x, y, w: w - air, h: h - air };
}
