import { formById, type Facts, type Room } from '../forms';
import { pageOf, type Page, type Rect, type Size } from '../paper';
import { arrange, artOn, stretched } from './arrange';
import { settingOf, type Choice } from './choices';
import { grown } from './grow';
import type { Part } from './parts';
import type { Block, Pieces, Plan, Run, Unplaced } from './plan';
import { obstaclesOn, type PlannedProblem } from './problem-of';
import { reasonFor } from './reasons';
import { onPageOf, sheetsOf, usableSquares, within } from './sheets';
import type { Place, Solution } from './solve';

/** A block on its way into the run. */
interface Placed {
	readonly part: Part;
	readonly choice: Choice;
	readonly cost: number;
	readonly place: Place;
}

/** The run that a solution stands for; `bound` is what no solution can cost less than. */
export function compose(
	plan: Plan,
	planned: PlannedProblem,
	solution: Solution,
	bound: number
): Run {
	const { items, fixed, sheets, impossible } = planned;
	const placed = items.flatMap((item, index): Placed[] => {
		const place = solution.places[index];
		const sheet = place && planned.problem.pages[place.page];
		if (!place || !sheet) return [];
		const option =
			place.span === 'page'
				? item.pageChoices[sheet.options]?.[place.option]
				: item.spreadChoices[sheet.pair ?? -1]?.[place.option];
		return option ? [{ part: item.part, choice: option.choice, cost: option.cost, place }] : [];
	});
	const alone = (page: number) => placed.filter(({ place }) => onBoth(place, page)).length === 1;
	const blocks = [
		...drawnBlocks(plan),
		...fixed.map(({ choice, room, pieces }) => block(plan, choice, room, pieces, 0)),
		...placed.flatMap((own) => {
			const whole = alone(own.place.page) && alone(own.place.page + 1);
			return overSpread(plan, planned, whole ? grownOver(plan, planned, own) : own);
		}),
		...sheets.flatMap((_, page) => onPage(plan, planned, placed, page))
	];
	const order = new Map(plan.wishes.map(({ id }, index) => [id, index]));
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
		const reason = reasonFor(plan, wish, blocks);
		return { wish: wish.id, ...(label === undefined ? {} : { part: label }), reason };
	});
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
		optimal: bound >= solution.cost,
		bound: solution.cost - bound
	};
}

const firstPage = ({ pieces }: Block) => pieces[0].page;

function rectsOn(blocks: readonly Block[], page: number): Rect[] {
	return blocks.flatMap(({ pieces }) =>
		pieces.flatMap((piece) => (piece.page === page ? [piece.rect] : []))
	);
}

/**
 * A block with the sums of what will be drawn there, the form's first layout in its room; in squares of
 * the page where the choice it was planned with comes out the same.
 */
function block(plan: Plan, choice: Choice, room: Room, pieces: Pieces, discomfort: number): Block {
	const { as } = choice;
	const [drawn = choice] = choice.form.layouts(settingOf(plan, as, choice.form), room);
	const { facts, why } = sameRuling(drawn.facts, choice.facts) ? choice : drawn;
	return { wish: as.id, as, form: choice.form.id, room, pieces, discomfort, facts, why };
}

/** Whether two rulings differ in nothing but what is left over beside them. */
function sameRuling(a: Facts, b: Facts): boolean {
	return JSON.stringify({ ...a, over: 0 }) === JSON.stringify({ ...b, over: 0 });
}

/** Blocks that are in the book already, with their sums as they were. */
function drawnBlocks(plan: Plan): Block[] {
	return (plan.drawn?.blocks ?? []).flatMap((drawn): Block[] => {
		const { wish, drawnWith, form } = drawn;
		const [first, second] = drawn.pieces;
		if (!first) return [];
		const { gutter } = plan.notebook;
		const room: Room = second
			? { span: 'spread', left: sizeOf(first.rect), right: sizeOf(second.rect), gutter }
			: { span: 'page', ...sizeOf(first.rect) };
		const pieces: Pieces = second ? [first, second] : [first];
		const ruled = formById(form);
		if (!ruled) return [];
		const setting = settingOf({ ...plan, ...drawnWith }, wish, ruled);
		const { facts, why } = ruled.layouts(setting, room)[0] ?? { facts: {}, why: [] };
		const shown = { wish: wish.id, as: wish, form, room, pieces, discomfort: 0, facts, why };
		return [drawnWith ? { ...shown, drawnWith } : shown];
	});
}

function sizeOf({ w, h }: Rect): Size {
	return { w, h };
}

/** Whether something lies on a page, wholly or with one half. */
function onBoth({ span, page }: Place, number: number): boolean {
	return page === number || (span === 'spread' && page + 1 === number);
}

/** What has both pages of a spread for itself, in all of their room, where it is no less comfortable there. */
function grownOver(plan: Plan, { sheets, fixed }: PlannedProblem, own: Placed): Placed {
	const { choice, place, part } = own;
	const [left, right] = [sheets[place.page], sheets[place.page + 1]];
	if (place.span !== 'spread' || part.wish.size || !left || !right) return own;
	if ([left, right].some((sheet) => obstaclesOn(sheet, fixed).length > 0)) return own;
	const room: Room = {
		span: 'spread',
		left: left.size,
		right: right.size,
		gutter: plan.notebook.gutter
	};
	const [layout] = choice.form.layouts(settingOf(plan, choice.as, choice.form), room);
	if (!layout || layout.discomfort > choice.discomfort) return own;
	return { ...own, choice: { ...choice, ...layout, discomfort: choice.discomfort } };
}

function overSpread(
	plan: Plan,
	{ sheets }: PlannedProblem,
	{ choice, cost, place }: Placed
): Block[] {
	const left = sheets[place.page];
	const right = sheets[place.page + 1];
	const { room } = choice;
	if (place.span !== 'spread' || room.span !== 'spread' || !left || !right) return [];
	const pieces: Pieces = [
		{ page: left.page.number, rect: { ...left.origin, ...room.left } },
		{ page: right.page.number, rect: { ...right.origin, ...room.right } }
	];
	return [block(plan, choice, room, pieces, cost)];
}

/** Blocks of one page, arranged around what is fixed there and what a spread takes of it. */
function onPage(
	plan: Plan,
	planned: PlannedProblem,
	placed: readonly Placed[],
	page: number
): Block[] {
	const sheet = planned.sheets[page];
	const own = placed.flatMap(({ place, ...rest }) =>
		place.span === 'page' && place.page === page
			? [{ ...rest, rect: withoutAir(place.rect, planned.air) }]
			: []
	);
	if (!sheet || own.length === 0) return [];
	const { number } = sheet.page;
	const bands = placed
		.flatMap((other) => overSpread(plan, planned, other))
		.flatMap(({ pieces }) => pieces.filter((piece) => piece.page === number))
		.flatMap(({ rect }) => within(rect, sheet.origin, sheet.size))
		.map((rect) => ({ ...rect, x: 0, w: sheet.size.w }));
	const taken = [...obstaclesOn(sheet, planned.fixed), ...bands];
	const rects = arrange(
		sheet.size,
		taken,
		own.map(({ part: { wish, filler }, choice, rect }) => ({
			rect,
			grow: (now, others) => {
				if (wish.size && !filler) return now;
				const larger = choice.stretches ? stretched(sheet.size, others, now) : now;
				if (larger !== now && fills(plan, choice, { span: 'page', w: larger.w, h: larger.h }))
					return larger;
				return grown(plan, choice, sheet.size, others, now);
			}
		}))
	);
	return own.map(({ choice, cost, rect }, index) => {
		const final = rects[index] ?? rect;
		const room: Room = { span: 'page', w: final.w, h: final.h };
		const pieces: Pieces = [{ page: number, rect: onPageOf(sheet, final) }];
		return block(plan, choice, room, pieces, cost);
	});
}

/** A block's own squares, without those that keep its neighbours away. */
function withoutAir({ x, y, w, h }: Rect, air: number): Rect {
	return { x, y, w: w - air, h: h - air };
}

/** Whether the same form fills a larger room. */
function fills(plan: Plan, { as, form }: Choice, room: Room): boolean {
	return form.layouts(settingOf(plan, as, form), room)[0]?.stretches ?? false;
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
