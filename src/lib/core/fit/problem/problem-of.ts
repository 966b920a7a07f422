import { purposes } from '../../catalogue';
import type { Wish } from '../../wish';
import type { Rect, Size } from '../../paper';
import { companyFor, pricesFor, type Prices } from '../plan/aims';
import { kindOf } from '../choices/choices';
import { pageChoices, type PageChoice, type PageSort, type SpreadChoice } from './options';
import { partsOf, type Part } from '../choices/parts';
import { overPair, pairOf, type Pair } from './pairs';
import { facingPins, givesWay, obstaclesOn, onlyOverSpread, place, type Fixed } from './pinned';
import { missedBy } from '../members/hosting';
import { blocksIn, daysLacking, lossOf, lossOfPart } from './losses';
import { pageOfCover, placeTo } from './opening-page';
import type { Taken } from '../members/footprint';
import { fewFillers } from './few-fillers';
import { roomsBeside, roomsLeft } from './page-rooms';
import type { Plan } from '../plan/plan';
import { forWeeks, inView, sheetsOf, type Sheet } from '../choices/sheets';
import { Sorts } from '../choices/sorts';
import { lowerBound, type Problem, type ProblemItem, type ProblemPage } from '../solve';
import { stretchOf } from '../choices/stretch';

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
 * States a plan as a problem: what is pinned to a place first, the rest as items with options; with `thorough`, at
 * every width that they can take. It hands over after each part and sort of page: together they can take long.
 */
export function* stating(plan: Plan, thorough = false): Generator<undefined, PlannedProblem> {
	return yield* state(plan, dividedOf(plan), thorough);
}

/** Parts of a plan by what is known of their places. */
interface Divided {
	readonly sheets: readonly Sheet[];
	/** Those whose place is open. */
	readonly free: readonly Part[];
	readonly fixed: readonly Fixed[];
	readonly impossible: readonly Part[];
}

function dividedOf(plan: Plan): Divided {
	const sheets = sheetsOf(plan);
	const drawn = new Set(plan.drawn?.blocks.map(({ wish }) => partName(wish)));
	const parts = facingPins(plan)
		.flatMap((wish) => partsOf(plan, wish))
		.filter(({ wish }) => !drawn.has(partName(wish)))
		.map((part) => (givesWay(plan, part) ? { ...part, lacking: 1 } : part));
	const fixed: Fixed[] = [];
	const impossible: Part[] = [];
	const free: Part[] = [];
	for (const part of parts) {
		const { pin } = part.wish;
		const index = sheets.findIndex(({ page }) => page.number === pin?.page);
		if (!pin) free.push(part);
		else if (index < 0) impossible.push(part);
		else if (
			pin.x === undefined &&
			pin.y === undefined &&
			!onlyOverSpread(plan, part, sheets, index)
		)
			free.push(part);
		else {
			const placed = place(plan, part, sheets, index, fixed);
			if (placed) fixed.push(placed);
			else impossible.push(part);
		}
	}
	return { sheets, free, fixed, impossible };
}

function pricesOf(plan: Plan, { free, sheets }: Divided): Prices {
	return pricesFor(plan.aim, blocksIn(free), sheets.length, daysLacking(free));
}

/** Why a plan is too large to be weighed at all; nothing where it can be. */
export function tooLarge(plan: Plan): string | undefined {
	try {
		pricesOf(plan, dividedOf(plan));
		return undefined;
	} catch (error) {
		if (error instanceof RangeError) return error.message;
		throw error;
	}
}

/** What tells a part from all others: the wish, the week and the page of the week. */
export function partName({ id, part }: Wish): string {
	return part ? `${id} ${part.week} ${part.page}` : id;
}

/**
 * Squares between neighbours: one, unless a person has sized several blocks, which may be meant to touch. (Common
 * practice.)
 */
function airBetween(free: readonly Part[]): number {
	return free.filter(({ wish }) => wish.size).length > 1 ? 0 : 1;
}

/**
 * An obstacle as blocks with air meet it: it takes none itself, so what stands left of it or above may touch it.
 * Where it is a single square wide it keeps that, or it would vanish.
 */
function inAir({ x, y, w, h }: Rect, air: number): Rect {
	const [left, top] = [w > air ? air : 0, h > air ? air : 0];
	return { x: x + left, y: y + top, w: w - left, h: h - top };
}

/** What a spread covers, with the square that keeps others away. */
function aired([left, right]: Taken, air: number): Taken {
	const more = (rects: readonly Rect[]) =>
		rects.map((rect) => ({ ...rect, w: rect.w + air, h: rect.h + air }));
	return [more(left), more(right)];
}

/** The problem of the parts whose place is open. */
function* state(
	plan: Plan,
	divided: Divided,
	thorough: boolean
): Generator<undefined, PlannedProblem> {
	const { sheets, free, fixed, impossible } = divided;
	const prices = pricesOf(plan, divided);
	const air = airBetween(free);
	const sided = free.some(({ wish }) => wish.side ?? kindOf(wish).likes);
	const sorts = new Sorts<PageSort & { rooms: readonly Size[] }>(
		({ rooms, side, toCover, whole, under }) =>
			[
				...rooms.map(({ w, h }) => `${w} ${h}`),
				...[sided ? side : '', toCover, whole],
				...(under ? [JSON.stringify(under)] : [])
			].join()
	);
	const coverPage = pageOfCover(plan, sheets, free, fixed);
	const pairs = new Sorts<Pair>((pair) => JSON.stringify(pair));
	const pairOn = sheets.map((_, index) => {
		const pair = pairOf(sheets, index, fixed);
		return pair && pairs.of(pair);
	});
	const faced = facingPairs(free);
	const overPairs: (readonly SpreadChoice[])[][] = [];
	for (const part of free) {
		const onPage = part.wish.pin !== undefined || faced.some((pair) => pair.includes(part));
		const over: (readonly SpreadChoice[])[] = [];
		for (const pair of pairs.all) {
			over.push(onPage ? [] : overPair(plan, part.wish, pair));
			yield;
		}
		overPairs.push(over);
	}
	// Where pages come first, or nothing else helps, others are sized to stand beside a spread.
	const beside = pairs.all.map((pair, at) =>
		([0, 1] as const).map((on) =>
			thorough || plan.aim === 'fewest-pages'
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
	const alone = new Set(
		[...free, ...fixed.map(({ part }) => part)].flatMap(({ wish: { pin } }) =>
			pin?.alone ? [pin.page] : []
		)
	);
	const pages = sheets.map((sheet, index): ProblemPage => {
		const { side, number } = sheet.page;
		const held = fixed.filter(({ pieces }) => pieces.some(({ page }) => page === number)).length;
		return {
			w: sheet.size.w + air,
			h: sheet.size.h + air,
			side,
			options: sorts.of({
				rooms: roomsOf(sheet, index),
				side,
				...(coverPage === undefined ? {} : { toCover: placeTo(coverPage, number) }),
				whole: held === 0,
				...(sheet.under ? { under: { size: forWeeks(sheet).size, inView: inView(sheet, 0) } } : {})
			}),
			pair: pairOn[index],
			obstacles: obstaclesOn(sheet, fixed).map((rect) => inAir(rect, air)),
			held,
			purposes: purposesOf(
				fixed.flatMap(({ part, pieces }) =>
					pieces.some(({ page }) => page === number) ? [part] : []
				)
			),
			exclusive: alone.has(number) || undefined
		};
	});
	const items: PlannedItem[] = [];
	for (const [index, part] of free.entries()) {
		const onPages: PageChoice[][] = [];
		for (const { rooms, ...sort } of sorts.all) {
			onPages.push(pageChoices(plan, part.wish, rooms, sort, thorough));
			yield;
		}
		const over = overPairs[index] ?? [];
		const spreadChoices = needsNoSpread(part.wish, onPages) ? over.map(() => []) : over;
		items.push({ part, pageChoices: onPages, spreadChoices });
	}
	const isFree = ({ filler, wish }: Part) =>
		filler &&
		wish.pin === undefined &&
		!faced.some((pair) => pair.some((part) => part.wish === wish));
	const ordered = free.filter((part) => !isFree(part) && !pinnedTo(sheets, part));
	const problemItems = items.map(({ part, pageChoices, spreadChoices }): ProblemItem => {
		const { wish } = part;
		const seconds = faced.flatMap(([first, second]) => (first === part ? [second] : []));
		const pinned = sheets.findIndex(({ page }) => page.number === wish.pin?.page);
		return {
			options: pageChoices.map((list) =>
				list.map(({ w, h, cost, choice }) => ({
					w: w + air,
					h: h + air,
					cost: cost * prices.comfort + lossOf(choice, prices)
				}))
			),
			spreads: spreadChoices.map((list) =>
				list.map(({ left, right, cost, covers, choice }) => ({
					left: left + air,
					right: right + air,
					covers: covers && aired(covers, air),
					cost: cost * prices.comfort + lossOf(choice, prices)
				}))
			),
			loss: lossOfPart(part, prices),
			filler: isFree(part),
			page: pinned < 0 ? undefined : pinned,
			facing: [...new Set(seconds.map((second) => free.indexOf(second)))],
			purpose: purposesOf([part]),
			keeps: kindOf(wish).ownSpread,
			...(isFree(part) ? { stretch: stretchOf(free, ordered, part) } : {})
		};
	});
	const lastTaken = Math.max(
		0,
		...(plan.drawn?.pages ?? []),
		...fixed.flatMap(({ pieces }) => pieces.map(({ page }) => page))
	);
	const usedAnyway = sheets.findLastIndex(({ page }) => page.number <= lastTaken);
	const all = {
		pages,
		items: problemItems,
		pageCost: prices.page,
		usedAnyway,
		company: companyFor(plan.aim, prices)
	};
	const problem = { ...all, items: fewFillers(problemItems) };
	// Where fillers lost their freedom, the bound must still hold for what was asked.
	const bound = problem.items.every((item, index) => item === problemItems[index])
		? undefined
		: lowerBound(all);
	return { problem, bound, prices, air, sheets, items, fixed, impossible };
}

/**
 * Parts that must face each other, the earlier one first; what is pinned to a page is left to its pin.
 * Weekly pages stand on several pages, so nothing can face them.
 */
function facingPairs(parts: readonly Part[]): (readonly [Part, Part])[] {
	return parts.flatMap((part, index) => {
		if (part.label !== undefined) return [];
		const other = parts.findIndex(
			({ wish, label }) => label === undefined && wish.id === part.wish.facing
		);
		const partner = parts[other];
		if (!partner || other === index || part.wish.pin || partner.wish.pin) return [];
		return [other > index ? ([part, partner] as const) : ([partner, part] as const)];
	});
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

/** Purposes of parts, as bits. */
function purposesOf(parts: readonly Part[]): number {
	return parts.reduce(
		(mask, { wish }) => mask | (1 << purposes.findIndex(({ id }) => id === kindOf(wish).purpose)),
		0
	);
}

/** Whether a part is bound to one of the pages. */
function pinnedTo(sheets: readonly Sheet[], { wish }: Part): boolean {
	return sheets.some(({ page }) => page.number === wish.pin?.page);
}
