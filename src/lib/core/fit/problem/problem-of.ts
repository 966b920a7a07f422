import { purposes } from '../../catalogue';
import type { Wish } from '../../wish';
import type { Size } from '../../paper';
import { isAlone, kindOf, type Choice } from '../choices/choices';
import type { Part } from '../choices/parts';
import { forWeeks, inView, type Sheet } from '../choices/sheets';
import { Sorts } from '../choices/sorts';
import { stretchOf } from '../choices/stretch';
import { missedBy } from '../members/hosting';
import { blanksFor, companyFor, type Prices } from '../plan/aims';
import type { Plan, Sizes } from '../plan/plan';
import {
	lowerBound,
	stranger,
	type Problem,
	type ProblemItem,
	type ProblemPage,
	type SpreadOption
} from '../solve';
import { airBetween, aired, inAir } from './air';
import { dividedOf, pricesOf, type Divided } from './divided';
import { facingPairs } from './facing';
import { fewFillers } from './few-fillers';
import { lossOf, lossOfPart } from './losses';
import { openingOf, pageOfCover, placeTo } from './opening-page';
import { pageChoices, type PageChoice, type PageSort, type SpreadChoice } from './options';
import { roomsBeside, roomsLeft } from './page-rooms';
import { overPair, pairOf, type Pair } from './pairs';
import { obstaclesOn, type Fixed } from './pinned';

/** A part with what it may take on each sort of page and pair of pages. */
export interface PlannedItem {
	readonly part: Part;
	readonly pageChoices: readonly (readonly PageChoice[])[];
	readonly spreadChoices: readonly (readonly SpreadChoice[])[];
}

/** A plan as a problem of whole numbers, and what its numbers stand for. */
export interface PlannedProblem {
	readonly problem: Problem;
	/** What no run can cost less than, where the problem allows less than the plan does. */
	readonly bound: number | undefined;
	/** What its prices are made of. */
	readonly prices: Prices;
	/** Squares that the problem adds to every block and page, right and below, so that neighbours do not touch. */
	readonly air: number;
	readonly sheets: readonly Sheet[];
	readonly items: readonly PlannedItem[];
	readonly fixed: readonly Fixed[];
	/** Parts that no page can take where they are wanted. */
	readonly impossible: readonly Part[];
}

/**
 * States a plan as a problem: what is pinned to a place first, the rest as items with options of these sizes. It hands over after
 * each part and sort of page: together they can take long.
 */
export function* stating(plan: Plan, sizes: Sizes = 'usual'): Generator<undefined, PlannedProblem> {
	return yield* state(plan, dividedOf(plan), sizes);
}

/** What of a plan the pages and the items of its problem are both stated from. */
interface Stated {
	readonly plan: Plan;
	readonly divided: Divided;
	readonly prices: Prices;
	readonly air: number;
	readonly faced: readonly (readonly [Part, Part])[];
	readonly sorts: Sorts<RoomedSort>;
	readonly pairs: Sorts<Pair>;
	/** Of each page the sort of pair that begins there. */
	readonly pairOn: readonly (number | undefined)[];
}

/** A sort of page with the rooms that it has for blocks. */
type RoomedSort = PageSort & {
	/** The page's own, then those beside spreads. */
	readonly rooms: readonly Size[];
	/** How many of them are its own. */
	readonly own: number;
};

/** The problem of the parts whose place is open. */
function* state(plan: Plan, divided: Divided, sizes: Sizes): Generator<undefined, PlannedProblem> {
	const { sheets, free, fixed, impossible } = divided;
	const prices = pricesOf(plan, divided);
	const air = airBetween(free);
	const pairs = new Sorts<Pair>((pair) => JSON.stringify(pair));
	const pairOn = sheets.map((_, index) => {
		const pair = pairOf(sheets, index, fixed);
		return pair && pairs.of(pair);
	});
	const faced = facingPairs(free);
	const sorts = sortsFor(free.some(({ wish }) => wish.side ?? kindOf(wish).likes));
	const stated = { plan, divided, prices, air, faced, sorts, pairs, pairOn };
	const overPairs = yield* choicesOverPairs(stated);
	const pages = pagesOf(stated, overPairs, sizes !== 'usual' || plan.aim === 'fewest-pages');
	const items = yield* itemsOf(stated, overPairs, sizes);
	const problemItems = problemItemsOf(stated, items);
	const all = {
		pages,
		items: problemItems,
		pageCost: prices.page,
		usedAnyway: usedAnyway(plan, divided),
		company: companyFor(plan.aim, prices),
		blank: blanksFor(plan.aim, prices)
	};
	const problem = { ...all, items: fewFillers(problemItems) };
	// Where fillers lost their freedom, the bound must still hold for what was asked.
	const bound = problem.items.every((item, index) => item === problemItems[index])
		? undefined
		: lowerBound(all);
	return { problem, bound, prices, air, sheets, items, fixed, impossible };
}

/** Sorts of pages; sides are told apart only where somebody cares (`sided`). */
function sortsFor(sided: boolean): Sorts<RoomedSort> {
	return new Sorts(({ rooms, own, side, toCover, whole, under }) =>
		[
			...rooms.map(({ w, h }) => `${w} ${h}`),
			...[own, sided ? side : '', toCover, whole],
			...(under ? [JSON.stringify(under)] : [])
		].join()
	);
}

/** What each part may take over each sort of pair; nothing where it must stand on a page. */
function* choicesOverPairs({
	plan,
	divided,
	faced,
	pairs
}: Stated): Generator<undefined, SpreadChoice[][][]> {
	const all: SpreadChoice[][][] = [];
	for (const part of divided.free) {
		const onPage = part.wish.pin !== undefined || faced.some((pair) => pair.includes(part));
		const over: SpreadChoice[][] = [];
		for (const pair of pairs.all) {
			over.push(onPage ? [] : overPair(plan, part.wish, pair));
			yield;
		}
		all.push(over);
	}
	return all;
}

/** The pages of the problem, which also gathers their sorts; where `narrow`, others are sized to stand beside a spread. */
function pagesOf(
	{ plan, divided: { sheets, free, fixed }, air, sorts, pairs, pairOn }: Stated,
	overPairs: readonly (readonly (readonly SpreadChoice[])[])[],
	narrow: boolean
): ProblemPage[] {
	const beside = pairs.all.map((pair, at) =>
		([0, 1] as const).map((on) =>
			narrow
				? roomsBeside(
						pair,
						overPairs.flatMap((over) => over[at] ?? []),
						on
					)
				: []
		)
	);
	const roomsOf = (sheet: Sheet, index: number) => [
		...roomsLeft(sheet, fixed),
		...(beside[pairOn[index] ?? -1]?.[0] ?? []),
		...(beside[pairOn[index - 1] ?? -1]?.[1] ?? [])
	];
	const coverPage = pageOfCover(plan, sheets, free, fixed);
	const alone = new Set([
		...free.flatMap(({ wish }) => (wish.pin && isAlone(wish) ? [wish.pin.page] : [])),
		...fixed.flatMap(({ part: { wish }, pieces }) =>
			isAlone(wish) ? pieces.map(({ page }) => page) : []
		)
	]);
	return sheets.map((sheet, index): ProblemPage => {
		const { side, number } = sheet.page;
		const here = fixed.filter(({ pieces }) => pieces.some(({ page }) => page === number));
		return {
			w: sheet.size.w + air,
			h: sheet.size.h + air,
			side,
			options: sorts.of({
				rooms: roomsOf(sheet, index),
				own: roomsLeft(sheet, fixed).length,
				side,
				...(coverPage === undefined ? {} : { toCover: placeTo(coverPage, number) }),
				whole: here.length === 0,
				...(sheet.under ? { under: { size: forWeeks(sheet).size, inView: inView(sheet, 0) } } : {})
			}),
			pair: pairOn[index],
			obstacles: obstaclesOn(sheet, fixed).map((rect) => inAir(rect, air)),
			held: here.length,
			purposes: purposesOf(here.map(({ part }) => part)),
			exclusive: alone.has(number) || undefined,
			mayStayBlank: (coverPage !== undefined && number < coverPage) || undefined
		};
	});
}

/** Every open part with what it may take on each sort of page and over each sort of pair. */
function* itemsOf(
	{ plan, divided, sorts }: Stated,
	overPairs: readonly (readonly (readonly SpreadChoice[])[])[],
	sizes: Sizes
): Generator<undefined, PlannedItem[]> {
	const items: PlannedItem[] = [];
	for (const [index, part] of divided.free.entries()) {
		const onPages: PageChoice[][] = [];
		for (const { rooms, own, ...sort } of sorts.all) {
			const offered = part.wish.part ? rooms.slice(0, own) : rooms;
			onPages.push(pageChoices(plan, part.wish, offered, sort, sizes));
			yield;
		}
		const over = overPairs[index] ?? [];
		const spreadChoices = needsNoSpread(part.wish, onPages) ? over.map(() => []) : over;
		items.push({ part, pageChoices: onPages, spreadChoices });
	}
	return items;
}

/** The items of the problem: choices as sizes with air and prices, and what is said of a part as numbers. */
function problemItemsOf(
	{ plan, divided: { sheets, free }, prices, air, faced, pairs }: Stated,
	items: readonly PlannedItem[]
): ProblemItem[] {
	const isFree = ({ filler, wish }: Part) =>
		filler &&
		wish.pin === undefined &&
		!faced.some((pair) => pair.some((part) => part.wish === wish));
	const ordered = free.filter((part) => !isFree(part) && !pinnedTo(sheets, part));
	const opening = openingOf(plan)?.id;
	return items.map(({ part, pageChoices, spreadChoices }): ProblemItem => {
		const { wish } = part;
		const seconds = faced.flatMap(([first, second]) => (first === part ? [second] : []));
		const pinned = sheets.findIndex(({ page }) => page.number === wish.pin?.page);
		// Over a spread a week takes both pages anyway.
		const isWeek = wish.part && !wish.size && spreadChoices.every(({ length }) => length === 0);
		const alone = isAlone(wish) || isWeek === true;
		return {
			options: pageChoices.map((list) =>
				list.map(({ w, h, cost, choice }) => ({
					w: w + air,
					h: h + air,
					cost:
						cost * prices.comfort +
						lossOf(choice, prices) +
						(wish.id === opening && isSqueezed(plan, choice) ? prices.page : 0)
				}))
			),
			spreads: spreadChoices.map((list, pair) =>
				list.map(({ choice, ...option }) => ({
					...rowsOf(option, alone ? pairs.all[pair] : undefined, air),
					cost: option.cost * prices.comfort + lossOf(choice, prices)
				}))
			),
			loss: lossOfPart(part, prices),
			filler: isFree(part),
			page: pinned < 0 ? undefined : pinned,
			facing: [...new Set(seconds.map((second) => free.indexOf(second)))],
			purpose: purposesOf([part]),
			keeps: kindOf(wish).ownSpread,
			...(alone && pinned < 0 ? { alone } : {}),
			...(isFree(part) ? { stretch: stretchOf(free, ordered, part) } : {})
		};
	});
}

/** Whether a cover has less than half a page: it opens nothing then, so it saves no page either. */
function isSqueezed({ notebook }: Plan, { as, room }: Choice): boolean {
	if (kindOf(as).likes !== 'right' || as.size || room.span !== 'page') return false;
	return 2 * room.w * room.h < notebook.columns * notebook.rows;
}

/** What a spread takes of its pages, with air: all of both where it has them to itself. */
function rowsOf(
	{ left, right, covers }: Pick<SpreadChoice, 'left' | 'right' | 'covers'>,
	whole: Pair | undefined,
	air: number
): Pick<SpreadOption, 'left' | 'right' | 'covers'> {
	if (!whole) return { left: left + air, right: right + air, covers: covers && aired(covers, air) };
	const [onLeft, onRight] = whole.weeks.pages;
	return { left: onLeft.h + air, right: onRight.h + air };
}

/** The last page that is taken whatever becomes of the rest, as an index. */
function usedAnyway(plan: Plan, { sheets, fixed }: Divided): number {
	const lastTaken = Math.max(
		0,
		...(plan.drawn?.pages ?? []),
		...fixed.flatMap(({ pieces }) => pieces.map(({ page }) => page))
	);
	return sheets.findLastIndex(({ page }) => page.number <= lastTaken);
}

/** What members share a page for with at most so much discomfort has no need of two: a page costs as much. */
const tight = 40;

/** Whether a wish holds all its members well on one page, and nobody asked for two. */
function needsNoSpread(
	{ members, span }: Wish,
	onPages: readonly (readonly PageChoice[])[]
): boolean {
	if (!members || span) return false;
	return onPages
		.flat()
		.some(({ cost, choice }) => choice.form.wholePage && cost <= tight && missedBy(choice) === 0);
}

function purposeOf(wish: Wish): number {
	const { purpose, freeWriting, joins } = kindOf(wish);
	if (joins) return 0;
	return freeWriting ? stranger : 1 << purposes.findIndex(({ id }) => id === purpose);
}

/** Purposes of parts, as bits. */
function purposesOf(parts: readonly Part[]): number {
	return parts.reduce((mask, { wish }) => mask | purposeOf(wish), 0);
}

/** Whether a part is bound to one of the pages. */
function pinnedTo(sheets: readonly Sheet[], { wish }: Part): boolean {
	return sheets.some(({ page }) => page.number === wish.pin?.page);
}
