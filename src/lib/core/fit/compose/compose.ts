import { formById, pageSize, type Room } from '../../forms';
import { pageOf, type Page, type Rect, type Size } from '../../paper';
import { gapOf } from '../plan/aims';
import { arrange, artOn, stretched } from './arrange';
import { settingOf, type Choice } from '../choices/choices';
import { withEqualTitles } from './equal-titles';
import { grown } from './grow';
import { withGrownGuests } from './grown-guests';
import { dayRows, withLevelGuests } from './level-guests';
import { levelled } from './levelled';
import type { Block, Pieces, Plan, Run, Sizes, Unplaced } from '../plan/plan';
import { inOneStyle } from './one-style';
import { blocksOf, inRoom, unseated, type Seated } from './seated';
import { allWishes } from '../../wish';
import {
	bandsOn,
	coverFirst,
	grownOver,
	isCover,
	lowered,
	overSpread,
	withoutAir,
	type Placed
} from './over-spread';
import { obstaclesOn } from '../problem/pinned';
import { layoutsOf } from '../choices/layouts-of';
import { weekLabel, weeksMissed } from '../choices/parts';
import type { PlannedProblem } from '../problem/problem-of';
import { noPlace, ownReason } from './reasons';
import { holesIn, onPageOf, sharedRooms, sheetsOf, usableSquares } from '../choices/sheets';
import { isShared } from '../members/hosting';
import type { Solution } from '../solve';

/** The run that a solution stands for; no solution of these sizes can cost less than `bound`. */
export function compose(
	plan: Plan,
	planned: PlannedProblem,
	solution: Solution,
	{ bound, sizes }: { readonly bound: number; readonly sizes: Sizes }
): Run {
	const { items, fixed, sheets, impossible } = planned;
	const placed = items.flatMap((item, index): Placed[] => {
		const place = solution.places[index];
		const sheet = place && planned.problem.pages[place.page];
		if (!place || !sheet) return [];
		const { part } = item;
		if (place.span === 'page') {
			const option = item.pageChoices[sheet.options]?.[place.option];
			return option ? [{ part, choice: option.choice, cost: option.cost, place }] : [];
		}
		const option = item.spreadChoices[sheet.pair ?? -1]?.[place.option];
		if (!option) return [];
		const { choice, cost, covers } = option;
		return [{ part, choice, cost, place, ...(covers ? { covers } : {}) }];
	});
	const grown = placed.map((own) => grownOver(plan, planned, placed, own));
	const seated = [
		...fixed.map((held): Seated => ({ ...held, discomfort: 0 })),
		...grown.flatMap((own) => overSpread(planned, grown, own)),
		...sheets.flatMap((_, page) => onPage(plan, planned, grown, page))
	];
	const blocks = withEqualTitles(plan, [
		...drawnBlocks(plan),
		...seated.flatMap((own) => blocksOf(plan, withLevelGuests(plan, withGrownGuests(plan, own))))
	]);
	const order = new Map(allWishes(plan.wishes).map(({ id }, index) => [id, index]));
	const rank = ({ wish }: Block) => order.get(wish) ?? -1;
	blocks.sort(
		(a, b) =>
			rank(a) - rank(b) ||
			(a.as.part?.week ?? 0) - (b.as.part?.week ?? 0) ||
			firstPage(a) - firstPage(b)
	);

	const lost = [
		...impossible,
		...items.flatMap(({ part }, index) => (solution.places[index] ? [] : [part]))
	];
	const pages = usedPages(plan, blocks);
	const unplaced = lost.map(({ wish, label }): Unplaced => {
		const reason = ownReason(plan, wish) ?? noPlace;
		return { wish: wish.id, ...(label === undefined ? {} : { part: label }), reason };
	});
	unplaced.push(...seated.flatMap(({ choice }) => unseated(choice)));
	unplaced.push(...unseen(plan, [...blocks, ...unplaced]));
	unplaced.push(
		...plan.wishes.flatMap((wish) =>
			wish.weeks
				? weeksMissed(plan, wish, wish.weeks).map(({ week, reason }) => ({
						wish: wish.id,
						part: weekLabel(week),
						reason
					}))
				: []
		)
	);
	return {
		pages,
		blocks,
		unplaced: unplaced.sort((a, b) => (order.get(a.wish) ?? 0) - (order.get(b.wish) ?? 0)),
		art: pages.flatMap(({ number, columns, rows, state }) => {
			if (state !== 'free') return [];
			const taken = [...rectsOn(blocks, number), ...usableSquares(plan, number).lost];
			return artOn({ w: columns, h: rows }, taken).map((rect) => ({ page: number, rect }));
		}),
		pagesUsed: pages.length,
		sizes,
		optimal: bound >= solution.cost && sizes === 'every',
		bound: solution.cost - bound,
		gap: gapOf(plan.aim, Math.max(0, solution.cost - bound), planned.prices)
	};
}

const firstPage = ({ pieces }: Block) => pieces[0].page;

function rectsOn(blocks: readonly Block[], page: number): Rect[] {
	return blocks.flatMap(({ pieces }) =>
		pieces.flatMap((piece) => (piece.page === page ? [piece.rect] : []))
	);
}

/** Blocks that are in the book already, with their sums as they were. */
function drawnBlocks(plan: Plan): Block[] {
	return (plan.drawn?.blocks ?? []).flatMap((drawn): Block[] => {
		const { wish, drawnWith, host, letters, form } = drawn;
		const [first, second] = drawn.pieces;
		const ruled = formById(form);
		if (!first || !ruled) return [];
		const { gutter } = plan.notebook;
		const holes = ruled.roundHoles ? holesIn(plan, first.page, first.rect) : [];
		const room: Room = second
			? { span: 'spread', left: sizeOf(first.rect), right: sizeOf(second.rect), gutter }
			: { span: 'page', ...sizeOf(first.rect), ...(holes.length > 0 ? { holes } : {}) };
		const pieces: Pieces = second ? [first, second] : [first];
		const setting = settingOf({ ...plan, ...drawnWith }, wish, ruled);
		const { facts, why } = layoutsOf(ruled, setting, room)[0] ?? { facts: {}, why: [] };
		const shown = { wish: wish.id, as: wish, form, room, pieces, discomfort: 0, facts, why };
		return [
			{
				...shown,
				...(drawnWith ? { drawnWith } : {}),
				...(host ? { host } : {}),
				...(letters === undefined ? {} : { letters })
			}
		];
	});
}

function sizeOf({ w, h }: Rect): Size {
	return { w, h };
}

/** Blocks of one page, arranged around what is fixed there and what a spread takes of it. */
function onPage(
	plan: Plan,
	planned: PlannedProblem,
	placed: readonly Placed[],
	page: number
): Seated[] {
	const sheet = planned.sheets[page];
	// What stands below a spread makes way for as much as that has grown.
	const down = Math.max(
		0,
		...placed.map(({ place, more = 0 }) => ([page, page - 1].includes(place.page) ? more : 0))
	);
	const seated = placed.flatMap(({ place, ...rest }) => {
		if (place.span !== 'page' || place.page !== page) return [];
		const rect = withoutAir(place.rect, planned.air);
		return [{ ...rest, cover: isCover(rest.part), rect: { ...rect, y: rect.y + down } }];
	});
	const own = inOneStyle(plan, seated);
	own.sort(coverFirst);
	if (!sheet || own.length === 0) return [];
	const { number } = sheet.page;
	// A page of a week is its own, unless a person has sized it.
	const week = own.find(({ part: { wish } }) => wish.part && !wish.size);
	if (week && sheet.under) {
		const { choice, cost } = week;
		const pieces: Pieces = [{ page: number, rect: { ...sheet.under, ...pageSize(choice.room) } }];
		return [{ choice, room: choice.room, pieces, discomfort: cost }];
	}
	const bands = placed.flatMap((other) => {
		if (other.place.span !== 'spread') return [];
		const down = lowered(planned, placed, other.place.page);
		return bandsOn(other, page, sheet.size).map((band) => ({ ...band, y: band.y + down }));
	});
	const taken = [...obstaclesOn(sheet, planned.fixed), ...bands];
	const rects = arrange(
		sheet.size,
		taken,
		own.map(({ part: { wish }, choice, rect }) => ({
			rect,
			form: choice.form.id,
			grow: (now, others, tallest) => {
				// A size set by hand stays.
				if (wish.size) return now;
				// What reaches beyond its own block was offered all that there is.
				if (choice.inside && !choice.form.wholePage) return now;
				const larger = choice.stretches ? stretched(sheet.size, others, now) : now;
				if (larger !== now && fills(plan, choice, { span: 'page', w: larger.w, h: larger.h }))
					return larger;
				return grown(plan, choice, sheet.size, others, now, tallest);
			}
		}))
	);
	const level = levelled(sheet.size, taken, rects, (index) => {
		const [choice, rect] = [own[index]?.choice, rects[index]];
		return choice && rect ? dayRows(plan, choice, rect) : new Map();
	});
	return own.map(({ choice, cost, rect }, index) => {
		const final = level[index] ?? rect;
		const room: Room = { span: 'page', w: final.w, h: final.h };
		if (!choice.inside) {
			const pieces: Pieces = [{ page: number, rect: onPageOf(sheet, final) }];
			return { choice, room, pieces, discomfort: cost };
		}
		const ruled = inRoom(plan, choice, room) ?? choice;
		const pieces: Pieces = [
			{ page: number, rect: { ...onPageOf(sheet, final), ...pageSize(ruled.room) } }
		];
		return { choice: ruled, room: ruled.room, pieces, discomfort: cost };
	});
}

/** Members of a set that should be seen all through it, where nothing of its pages is. */
function unseen(plan: Plan, told: readonly { readonly wish: string }[]): Unplaced[] {
	const members = plan.wishes.flatMap(({ weeks, members = [] }) => (weeks ? members : []));
	return members.flatMap(({ id, room }): Unplaced[] => {
		if (!isShared(room) || told.some(({ wish }) => wish === id)) return [];
		const view = sheetsOf(plan).find(({ page, under }) => under && sharedRooms[page.side] === room);
		const reason = view
			? `no week of the set stands on page ${view.page.number}, which stays in view there`
			: 'nothing of a page stays in view all through the set there: cut a strip off its leaves, or a part at the top or the foot';
		return [{ wish: id, reason }];
	});
}

/** Whether the same form fills a larger room. */
function fills(plan: Plan, { as, form }: Choice, room: Room): boolean {
	return layoutsOf(form, settingOf(plan, as, form), room)[0]?.stretches ?? false;
}

/** Pages from the month's first to its last used one: those that may be filled and those that are drawn. */
function usedPages(plan: Plan, blocks: readonly Block[]): Page[] {
	const drawn = new Set(plan.drawn?.pages);
	const last = Math.max(
		0,
		...drawn,
		...blocks.flatMap(({ pieces }) => pieces.map(({ page }) => page))
	);
	const free = sheetsOf(plan).flatMap(({ page }) => (page.number <= last ? [page.number] : []));
	return [...new Set([...free, ...drawn])]
		.sort((a, b) => a - b)
		.map((number): Page => {
			const page = pageOf(plan.notebook, number);
			return drawn.has(number) ? { ...page, state: 'drawn' } : page;
		});
}
