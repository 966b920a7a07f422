import type { Problem, Solution } from '../../src/lib/core/fit/solve';
import type { Rect } from '../../src/lib/core/paper';

/**
 * Judges a solution by the rules alone, square by square; shares no code with the planner. Gives every
 * rule that is broken, a wrong price among them.
 */
export function faultsOf(problem: Problem, { places, cost }: Solution): string[] {
	const faults: string[] = [];
	const { pages, items } = problem;
	const squares = new Map<string, string>();
	const wishesOn = pages.map(({ held = 0 }) => held);
	let last = problem.usedAnyway;
	let price = 0;
	const obstacle = 'an obstacle';
	const take = (
		who: string,
		page: number,
		{ x, y, w, h }: Rect,
		{ overObstacles = false } = {}
	) => {
		const size = pages[page];
		if (!size) return faults.push(`${who} lies beyond the pages`);
		if (![x, y, w, h].every(Number.isInteger)) faults.push(`${who} is not in whole squares`);
		if (x < 0 || y < 0 || x + w > size.w || y + h > size.h) faults.push(`${who} leaves its page`);
		for (let column = x; column < x + w; column++)
			for (let row = y; row < y + h; row++) {
				const square = `${page} ${column} ${row}`;
				const other = squares.get(square);
				const allowed = overObstacles && other === obstacle;
				if (other !== undefined && !allowed) faults.push(`${who} lies on ${other}`);
				squares.set(square, who);
			}
		return undefined;
	};
	for (const [page, { obstacles }] of pages.entries())
		for (const rect of obstacles) take(obstacle, page, rect);

	for (const [index, item] of items.entries()) {
		const place = places[index];
		const who = `item ${index}`;
		if (!place) {
			price += item.loss;
			continue;
		}
		const page = pages[place.page];
		if (item.page !== undefined && item.page !== place.page) faults.push(`${who} left its page`);
		if (page?.exclusive && item.page !== place.page) faults.push(`${who} is on a kept page`);
		wishesOn[place.page] = (wishesOn[place.page] ?? 0) + 1;
		if (place.span === 'page') {
			const option = item.options[page?.options ?? -1]?.[place.option];
			const { w, h } = place.rect;
			if (option?.w !== w || option.h !== h) faults.push(`${who} has not the size of its option`);
			price += option?.cost ?? 0;
			take(who, place.page, place.rect);
			last = Math.max(last, place.page);
		} else {
			const right = pages[place.page + 1];
			const option = item.spreads[page?.pair ?? -1]?.[place.option];
			if (!option || !right) faults.push(`${who} lies over no spread`);
			price += option?.cost ?? 0;
			wishesOn[place.page + 1] = (wishesOn[place.page + 1] ?? 0) + 1;
			const rows = [
				{ x: 0, y: 0, w: page?.w ?? 0, h: option?.left ?? 0 },
				{ x: 0, y: 0, w: right?.w ?? 0, h: option?.right ?? 0 }
			];
			// Where others may stand beside it, it keeps clear of obstacles by itself.
			for (const [on, row] of rows.entries())
				for (const rect of option?.covers?.[on] ?? [row])
					take(who, place.page + on, rect, { overObstacles: option?.covers !== undefined });
			last = Math.max(last, place.page + 1);
		}
	}
	const inOrder = items.flatMap(({ filler, page }, index) =>
		filler || page !== undefined ? [] : [index]
	);
	for (const [page, count] of wishesOn.entries())
		if (count > 8) faults.push(`page ${page} holds ${count} wishes`);

	const ordered = items.flatMap((item, index) => {
		const place = places[index];
		return item.filler || item.page !== undefined || !place ? [] : [{ index, page: place.page }];
	});
	for (const [at, { index, page }] of ordered.entries())
		if (ordered.slice(0, at).some((before) => before.page > page))
			faults.push(`item ${index} stands before what comes before it`);

	for (const [index, { facing = [] }] of items.entries())
		for (const partner of facing) {
			const own = places[index];
			const other = places[partner];
			if (!own || !other) continue;
			if (other.page !== own.page + 1 || pages[own.page]?.pair === undefined)
				faults.push(`items ${index} and ${partner} do not face each other`);
		}
	for (const [index, { stretch }] of items.entries()) {
		const own = places[index];
		if (!own || !stretch) continue;
		for (const other of inOrder) {
			const page = places[other]?.page;
			if (page === undefined) continue;
			if (other < stretch.from && page > own.page) faults.push(`item ${index} stands too early`);
			if (other >= stretch.to && page < own.page) faults.push(`item ${index} stands too late`);
		}
	}
	for (const page of pages.keys()) price += companyOn(problem, places, page);
	for (const [index, { alone }] of items.entries()) {
		const place = places[index];
		if (!alone || !place) continue;
		for (const on of place.span === 'spread' ? [place.page, place.page + 1] : [place.page])
			if (wishesOn[on] !== 1) faults.push(`item ${index} is not alone on page ${on}`);
	}
	price += pricesOfBlanks(problem, places);
	price += problem.pageCost * (last + 1);
	if (price !== cost) faults.push(`the price is ${price}, not ${cost}`);
	return faults;
}

/** What blank pages before the last one with something on it cost. */
function pricesOfBlanks({ pages, items, blank }: Problem, places: Solution['places']): number {
	if (!blank) return 0;
	const pagesOf = (index: number) => {
		const place = places[index];
		if (!place) return [];
		return place.span === 'spread' ? [place.page, place.page + 1] : [place.page];
	};
	const filled = new Set([...items.keys()].flatMap(pagesOf));
	const last = Math.max(-1, ...filled);
	const isBlank = pages.map(
		({ obstacles, held = 0 }, page) =>
			page < last &&
			!filled.has(page) &&
			obstacles.length === 0 &&
			held === 0 &&
			items.every((item) => item.page !== page)
	);
	return pages.reduce((sum, { mayStayBlank }, page) => {
		if (!isBlank[page]) return sum;
		return sum + (mayStayBlank ? 0 : blank.each) + (isBlank[page - 1] ? blank.again : 0);
	}, 0);
}

/** What the company on a page costs, from what stands there. */
function companyOn(
	{ items, pages, company }: Problem,
	places: Solution['places'],
	page: number
): number {
	if (!company) return 0;
	const here = items.filter((_, index) => {
		const place = places[index];
		return place && (place.page === page || (place.span === 'spread' && place.page + 1 === page));
	});
	const keeper = items.find((item, index) => {
		const place = places[index];
		return item.keeps && place?.span === 'spread' && [page, page - 1].includes(place.page);
	});
	if (keeper) return here.length > 1 ? company.kept : 0;
	const held = purposesIn([pages[page]?.purposes ?? 0]);
	const all = purposesIn([pages[page]?.purposes ?? 0, ...here.map(({ purpose = 0 }) => purpose)]);
	// A stranger counts each time.
	const strangers = here.filter(({ purpose }) => purpose === 128).length;
	const known = [...all].filter((purpose) => purpose !== 7).length;
	return company.purpose * Math.max(0, known + strangers - Math.max(1, held.size));
}

function purposesIn(masks: readonly number[]): Set<number> {
	const found = new Set<number>();
	for (const mask of masks)
		for (let purpose = 0; purpose < 8; purpose++)
			if ((mask >> purpose) % 2 === 1) found.add(purpose);
	return found;
}
