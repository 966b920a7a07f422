import { pricesFor, type Aim } from '../../src/lib/core/fit/plan/aims';
import type { Size } from '../../src/lib/core/paper';
import type {
	PageOption,
	Problem,
	ProblemItem,
	ProblemPage,
	SpreadOption
} from '../../src/lib/core/fit/solve';

/** Numbers from a seed, evenly from 0 up to 1 (mulberry32, a public-domain generator; from memory). */
export function randomFrom(seed: number): () => number {
	let state = seed >>> 0;
	return () => {
		state = (state + 0x6d2b79f5) >>> 0;
		let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
		mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
		return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
	};
}

/** Pages in a row from a left one on, all of one size. */
export function evenPages(count: number, w: number, h: number): ProblemPage[] {
	return Array.from({ length: count }, (_, index) => ({
		w,
		h,
		side: index % 2 === 0 ? 'left' : 'right',
		options: 0,
		pair: index % 2 === 0 && index + 1 < count ? 0 : undefined,
		obstacles: []
	}));
}

/** Widths that blocks on a page of 28 have: calendars, half pages, tables, whole pages. */
const usualWidths = [7, 12, 13, 14, 20, 22, 26, 28];

/**
 * An ordinary month: pages of 28 × 40, 3 to 8 options a wish, a tenth of them over spreads, two
 * fillers, about four blocks a page. A wish's options take from all to half of its usual area.
 */
export function ordinaryMonth(wishes: number, seed: number, aim: Aim, pages = 60): Problem {
	const random = randomFrom(seed);
	const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
	const prices = pricesFor(aim, wishes + 2, pages);
	const sizeOf = (area: number) => {
		const least = Math.ceil(area / 40);
		const wide = usualWidths.filter((width) => width >= least && width * 4 <= area);
		const w = wide[whole(0, wide.length - 1)] ?? 28;
		return { w, h: Math.min(40, Math.max(3, Math.round(area / w))) };
	};
	const items = Array.from({ length: wishes + 2 }, (_, index): ProblemItem => {
		const filler = index >= wishes;
		const spread = !filler && random() < 0.1;
		const area = whole(150, 450);
		const options: PageOption[] = [];
		const spreads: SpreadOption[] = [];
		for (let option = whole(3, 8) - 1; option >= 0; option--) {
			const cost = prices.comfort * 5 * whole(option === 0 ? 0 : 1, 2 * option);
			const rows = Math.max(8, 40 - 3 * option - whole(0, 2));
			if (spread) spreads.push({ left: rows, right: rows, cost });
			else options.push({ ...sizeOf(area * (1 - option / 14)), cost });
		}
		const draw = random();
		const loss = draw < 0.1 ? prices.must : draw < 0.8 ? prices.want : prices.spare;
		return { options: [options], spreads: [spreads], loss, filler };
	});
	return { pages: evenPages(pages, 28, 40), items, pageCost: prices.page, usedAnyway: -1 };
}

/**
 * A month whose pages are nearly filled by seven or eight small blocks each: pages are cut into as many
 * pieces, and each piece is a wish's least size; larger ones are more comfortable.
 */
export function tightMonth(seed: number, pages = 4): Problem {
	const random = randomFrom(seed);
	const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
	const pieces = Array.from({ length: pages }, () => cutPage(random, 28, 40, whole(7, 8))).flat();
	const prices = pricesFor('fewest-pages', pieces.length, pages + 6);
	const items = pieces.map(({ w, h }): ProblemItem => {
		const options = Array.from({ length: whole(3, 5) }, (_, step) => ({
			w: Math.min(28, w + (step > 1 ? 1 : 0)),
			h: Math.min(40, h + step),
			cost: prices.comfort * Math.max(0, 20 - 10 * step)
		}));
		return { options: [options], spreads: [[]], loss: prices.must, filler: false };
	});
	return {
		pages: evenPages(pages + 6, 28, 40),
		items,
		pageCost: prices.page,
		usedAnyway: -1
	};
}

/**
 * A small problem with everything in it: pages of 4–6 × 5–7 squares, some narrower, partly spoilt or kept,
 * 3 to 8 wishes, spreads, sides, facing pairs, fillers, wishes bound to a page, and too few pages at times.
 */
export function smallProblem(seed: number): Problem {
	const random = randomFrom(seed);
	const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
	const chance = (part: number) => random() < part;
	const width = whole(4, 6);
	const height = whole(5, 7);
	const first = whole(0, 1);
	const count = whole(1, 4);
	// Lists of options: 0 for left pages, 1 for right ones.
	const pages: ProblemPage[] = Array.from({ length: count }, (_, index) => {
		const left = (first + index) % 2 === 0;
		const w = chance(0.15) ? width - 1 : width;
		const spoilt = chance(0.15);
		const size = { w: whole(1, 2), h: whole(1, 3) };
		return {
			w,
			h: height,
			side: left ? 'left' : 'right',
			options: left ? 0 : 1,
			pair: left && index + 1 < count && chance(0.9) ? 0 : undefined,
			obstacles: spoilt ? [{ x: whole(0, w - size.w), y: whole(0, height - size.h), ...size }] : [],
			held: spoilt && chance(0.5) ? 1 : 0,
			exclusive: chance(0.04) || undefined
		};
	});
	const wishes = whole(3, 8);
	const items: ProblemItem[] = Array.from({ length: wishes }, (_, index) => {
		const filler = chance(0.2);
		const side = chance(0.15) ? whole(0, 1) : undefined;
		const options: PageOption[] = Array.from({ length: whole(1, 4) }, () => ({
			w: whole(1, width),
			h: whole(1, height),
			cost: 5 * whole(0, 8)
		}));
		const spreads: SpreadOption[] = chance(0.2)
			? Array.from({ length: whole(1, 2) }, () => ({
					left: whole(2, height),
					right: whole(2, height),
					cost: 5 * whole(0, 4)
				}))
			: [];
		const paged = spreads.length > 0 && chance(0.6) ? [] : options;
		return {
			options: [side === 1 ? [] : paged, side === 0 ? [] : paged],
			spreads: [spreads],
			loss: [60, 700, 9000][whole(0, 2)] ?? 60,
			filler,
			...(chance(0.08) ? { page: whole(0, count - 1), filler: false, spreads: [[]] } : {}),
			...(index === wishes - 1 ? { filler: false } : {})
		};
	});
	const able = items.flatMap((item, index) =>
		item.filler || item.page !== undefined || (item.spreads[0]?.length ?? 0) > 0 ? [] : [index]
	);
	const [a, b, c] = [able[0], able[whole(1, 2)], able[3]];
	const item = a === undefined ? undefined : items[a];
	if (a !== undefined && b !== undefined && item && chance(0.4))
		items[a] = { ...item, facing: c !== undefined && chance(0.3) ? [b, c] : [b] };
	return particular(
		sociable(
			open(
				{ pages, items, pageCost: chance(0.5) ? 40 : 1, usedAnyway: chance(0.1) ? 0 : -1 },
				seed
			),
			seed
		),
		seed
	);
}

/** A problem with strangers, items that stand alone, and prices of blank pages. */
function particular(problem: Problem, seed: number): Problem {
	const random = randomFrom(seed + 3_000_003);
	const items = problem.items.map((item): ProblemItem => {
		const free = !item.filler && item.page === undefined;
		return {
			...item,
			...(random() < 0.15 ? { purpose: 128 } : {}),
			...(free && random() < 0.12 ? { alone: true } : {})
		};
	});
	const pages = problem.pages.map((page, index) =>
		index === 0 && random() < 0.3 ? { ...page, mayStayBlank: true } : page
	);
	const price = () => 5 * Math.floor(random() * 10);
	const blank = random() < 0.6 ? { each: price(), again: price() } : undefined;
	return { ...problem, pages, items, ...(blank ? { blank } : {}) };
}

/**
 * A full-size problem that the pattern model can state: even pages in plenty, everything must be placed,
 * spreads take whole pages, one to five blocks a page, two fillers.
 */
export function patternProblem(wishes: number, seed: number): Problem {
	const random = randomFrom(seed);
	const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
	const items = Array.from({ length: wishes + 2 }, (_, index): ProblemItem => {
		const filler = index >= wishes;
		const spread = !filler && random() < 0.12;
		const area = whole(230, 560);
		const options: PageOption[] = Array.from({ length: whole(2, 4) }, (_, option) => {
			const w = usualWidths[whole(1, usualWidths.length - 1)] ?? 28;
			const h = Math.min(40, Math.max(4, Math.round((area * (1 - option / 10)) / w)));
			return { w, h, cost: 5 * whole(option === 0 ? 0 : 1, 3 * option) };
		});
		return {
			options: [spread ? [] : options],
			spreads: [spread ? [{ left: 40, right: 40, cost: 5 * whole(0, 3) }] : []],
			loss: 1_000_000,
			filler
		};
	});
	const pageCost = random() < 0.5 ? 40 : 500;
	return sociable(
		{ pages: evenPages(3 * wishes + 6, 28, 40), items, pageCost, usedAnyway: -1 },
		seed
	);
}

/** A problem some of whose spreads leave room for others beside them: against the fold, and here and there something outside. */
function open(problem: Problem, seed: number): Problem {
	const random = randomFrom(seed + 2_000_003);
	const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
	const narrow = Math.min(...problem.pages.map(({ w }) => w));
	const opened = (option: SpreadOption): SpreadOption => {
		const [left, right] = [whole(1, narrow), whole(1, narrow)];
		const more = right + 1 < narrow && random() < 0.4 ? [{ x: right + 1, y: 0, w: 1, h: 2 }] : [];
		return {
			...option,
			covers: [
				// The left page is as wide as the narrowest one where it is not known which it is.
				[{ x: narrow - left, y: 0, w: left, h: option.left }],
				[{ x: 0, y: 0, w: right, h: option.right }, ...more]
			]
		};
	};
	const items = problem.items.map((item): ProblemItem => {
		const more = item.spreads.map((list) =>
			random() < 0.6 ? [...list, ...list.map(opened)] : list
		);
		return { ...item, spreads: more };
	});
	return { ...problem, items };
}

/** A problem with purposes, spreads that keep their pages, prices of company, and fillers with a stretch. */
function sociable(problem: Problem, seed: number): Problem {
	const random = randomFrom(seed + 1_000_003);
	const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
	const all = problem.items.length;
	const items = problem.items.map((item): ProblemItem => {
		const from = whole(0, all);
		return {
			...item,
			...(random() < 0.8 ? { purpose: 2 ** whole(0, 2) } : {}),
			...(random() < 0.4 ? { keeps: true } : {}),
			...(item.filler && random() < 0.6 ? { stretch: { from, to: whole(from, all) } } : {})
		};
	});
	const pages = problem.pages.map((page) =>
		page.held ? { ...page, purposes: 2 ** whole(0, 2) } : page
	);
	return {
		...problem,
		pages,
		items,
		company: { purpose: 5 * whole(0, 9), kept: 5 * whole(0, 12) }
	};
}

/** A page cut at random into so many rectangles; a third of the time with a pinwheel first. */
function cutPage(random: () => number, w: number, h: number, wanted: number): Size[] {
	const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
	const pieces: Size[] = [];
	if (wanted >= 5 && random() < 0.35) {
		// Four rectangles round a fifth: no straight cut goes through.
		const [x1, y1] = [whole(2, w - 6), whole(2, h - 6)];
		const [x2, y2] = [whole(x1 + 2, w - 2), whole(y1 + 2, h - 2)];
		pieces.push(
			{ w: x2, h: y1 },
			{ w: w - x2, h: y2 },
			{ w: w - x1, h: h - y2 },
			{ w: x1, h: h - y1 },
			{ w: x2 - x1, h: y2 - y1 }
		);
	} else pieces.push({ w, h });
	while (pieces.length < wanted) {
		const at = whole(0, pieces.length - 1);
		const piece = pieces[at];
		if (!piece) break;
		const across = random() < 0.5 ? piece.w >= 4 : piece.h < 4;
		const length = across ? piece.w : piece.h;
		if (length < 4) break;
		const cut = whole(2, length - 2);
		const parts = across
			? [
					{ w: cut, h: piece.h },
					{ w: piece.w - cut, h: piece.h }
				]
			: [
					{ w: piece.w, h: cut },
					{ w: piece.w, h: piece.h - cut }
				];
		pieces.splice(at, 1, ...parts);
	}
	return pieces;
}

/**
 * Pages cut at random into pieces that are offered as wishes of fixed size in page order, shuffled within
 * each page, with larger decoys as further options: with the fewest pages as aim it must come back as
 * exactly `pages` pages.
 */
export function cutPages(seed: number, w = 28, h = 40): { problem: Problem; pages: number } {
	const random = randomFrom(seed);
	const pages = 1 + Math.floor(random() * 6);
	const pieces = Array.from({ length: pages }, () => {
		const wanted = 2 + Math.floor(random() * 7);
		const cut = cutPage(random, w, h, wanted).map((size) => ({ size, key: random() }));
		return cut.sort((a, b) => a.key - b.key).map(({ size }) => size);
	}).flat();
	const prices = pricesFor('fewest-pages', pieces.length, pages + 4);
	const items = pieces.map((size): ProblemItem => {
		const decoy = { w: Math.min(w, size.w + 2), h: Math.min(h, size.h + 3), cost: 0 };
		const options = random() < 0.4 ? [decoy, { ...size, cost: 5 }] : [{ ...size, cost: 0 }];
		return { options: [options], spreads: [[]], loss: prices.must, filler: false };
	});
	const problem = {
		pages: evenPages(pages + 4, w, h),
		items,
		pageCost: prices.page,
		usedAnyway: -1
	};
	return { problem, pages };
}
