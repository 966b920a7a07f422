import type { Problem } from '../../src/lib/core/fit/solve';

/** A variable of the integer program: an item at one place, and what that takes. */
interface Choice {
	readonly name: string;
	readonly item: number;
	readonly page: number;
	readonly cost: number;
	readonly cells: readonly string[];
	/** Pages on which it counts as one wish. */
	readonly pages: readonly number[];
}

/**
 * The planning problem as an integer program in CPLEX LP format, square by square: a variable for every
 * item, option and place, one for each item left out, one for each page used. It states the rules as
 * they are written, with none of the planner's thinking.
 */
export function cellModel(problem: Problem): string {
	const choices = problem.items.flatMap((_, item) => choicesOf(problem, item));
	const { pages, items, pageCost } = problem;
	const rows: string[] = [];
	const sum = (names: readonly string[]) => (names.length > 0 ? names.join(' + ') : '0 zero');
	const named = (found: readonly Choice[]) => found.map(({ name }) => name);

	for (const item of items.keys())
		rows.push(
			`${sum([...named(choices.filter((choice) => choice.item === item)), `lost${item}`])} = 1`
		);

	const byCell = new Map<string, string[]>();
	for (const { name, cells } of choices)
		for (const cell of cells) byCell.set(cell, [...(byCell.get(cell) ?? []), name]);
	for (const names of byCell.values()) if (names.length > 1) rows.push(`${sum(names)} <= 1`);

	for (const [page, { held = 0 }] of pages.entries()) {
		const here = choices.filter((choice) => choice.pages.includes(page));
		rows.push(`${sum(named(here))} <= ${8 - held}`);
		for (const item of items.keys()) {
			const own = named(here.filter((choice) => choice.item === item));
			if (own.length > 0) rows.push(`${sum(own)} - used${page} <= 0`);
		}
		if (page > 0) rows.push(`used${page} - used${page - 1} <= 0`);
		if (page <= problem.usedAnyway) rows.push(`used${page} = 1`);
	}

	const free = [...items.entries()].filter(([, item]) => !item.filler && item.page === undefined);
	for (const [later] of free)
		for (const [earlier] of free) {
			if (earlier >= later) continue;
			for (const page of pages.keys()) {
				const clash = [
					...choices.filter((choice) => choice.item === later && choice.page <= page),
					...choices.filter((choice) => choice.item === earlier && choice.page > page)
				];
				if (clash.length > 1) rows.push(`${sum(named(clash))} <= 1`);
			}
		}

	for (const [first, { facing = [] }] of items.entries())
		for (const partner of facing)
			for (const [page, { pair }] of pages.entries()) {
				const faces = (other: number) => pair !== undefined && other === page + 1;
				const clash = [
					...choices.filter((choice) => choice.item === first && choice.page === page),
					...choices.filter(({ item, page: other }) => item === partner && !faces(other))
				];
				if (clash.length > 1) rows.push(`${sum(named(clash))} <= 1`);
			}

	for (const [filler, { stretch }] of items.entries())
		for (const [other] of stretch ? free : []) {
			const early = other < (stretch?.from ?? 0);
			if (!early && other < (stretch?.to ?? Infinity)) continue;
			const [first, then] = early ? [other, filler] : [filler, other];
			for (const page of pages.keys()) {
				const clash = [
					...choices.filter((choice) => choice.item === then && choice.page <= page),
					...choices.filter((choice) => choice.item === first && choice.page > page)
				];
				if (clash.length > 1) rows.push(`${sum(named(clash))} <= 1`);
			}
		}

	for (const [item, { alone }] of items.entries())
		for (const page of alone ? pages.keys() : []) {
			const here = choices.filter((choice) => choice.pages.includes(page));
			const own = named(here.filter((choice) => choice.item === item));
			if ((pages[page]?.held ?? 0) > 0) rows.push(...own.map((name) => `${name} = 0`));
			const others = named(here.filter((choice) => choice.item !== item));
			if (own.length === 0) continue;
			for (const other of others) rows.push(`${[...own, other].join(' + ')} <= 1`);
		}

	const prices: string[] = [];
	const { company, blank } = problem;
	// A page is blank where nothing stands on it and something does on a later one.
	const open = pages.map(
		({ obstacles, held = 0 }, page) =>
			obstacles.length === 0 && held === 0 && items.every((item) => item.page !== page)
	);
	for (const [page, { mayStayBlank }] of blank ? pages.entries() : []) {
		if (!open[page]) continue;
		const here = named(choices.filter((choice) => choice.pages.includes(page)));
		const later = choices.filter((choice) => choice.pages.some((on) => on > page));
		for (const { name } of later)
			rows.push(`${[...here, `blank${page}`].join(' + ')} - ${name} >= 0`);
		prices.push(`${mayStayBlank ? 0 : (blank?.each ?? 0)} blank${page}`);
		if (!open[page - 1]) continue;
		rows.push(`blank${page} + blank${page - 1} - again${page} <= 1`);
		prices.push(`${blank?.again ?? 0} again${page}`);
	}
	for (const [page, { purposes: held = 0 }] of company ? pages.entries() : []) {
		const here = choices.filter((choice) => choice.pages.includes(page));
		const keeps = (choice: Choice) => items[choice.item]?.keeps && choice.pages.length > 1;
		const keepers = named(here.filter(keeps));
		const guests = here.filter((choice) => !keeps(choice));
		// An item has one place at most, so all that it could have on a page may stand in one row.
		const byItem = [...items.keys()]
			.map((item) => guests.filter((choice) => choice.item === item))
			.filter(({ length }) => length > 0);
		for (const own of keepers.length > 0 ? byItem : [])
			rows.push(`${[...named(own), ...keepers].join(' + ')} - guest${page} <= 1`);
		const present: string[] = [];
		// Each stranger is a purpose of its own.
		for (const [item] of items.entries()) {
			const own = named(
				guests.filter((choice) => choice.item === item && items[item]?.purpose === 128)
			);
			if (own.length === 0) continue;
			present.push(`str${page}i${item}`);
			rows.push(`${sum(own)} - str${page}i${item} <= 0`);
		}
		for (let bit = 1; bit < 128; bit *= 2) {
			const own = byItem.filter(
				([choice]) => ((items[choice?.item ?? -1]?.purpose ?? 0) & bit) > 0
			);
			if (held & bit || own.length === 0) continue;
			present.push(`for${page}b${bit}`);
			for (const choices of own) rows.push(`${sum(named(choices))} - for${page}b${bit} <= 0`);
		}
		const waived = keepers.map((name) => ` - 20 ${name}`).join('');
		if (present.length > 0)
			rows.push(`${present.join(' + ')} - more${page}${waived} <= ${held > 0 ? 0 : 1}`);
		prices.push(`${company?.purpose ?? 0} more${page}`, `${company?.kept ?? 0} guest${page}`);
	}

	const price = [
		...prices,
		...choices.map(({ name, cost }) => `${cost} ${name}`),
		...items.map(({ loss }, item) => `${loss} lost${item}`),
		...pages.map((_, page) => `${pageCost} used${page}`)
	];
	const binaries = [
		...named(choices),
		...items.map((_, item) => `lost${item}`),
		...pages.map((_, page) => `used${page}`),
		...(blank ? pages.map((_, page) => `blank${page}`) : [])
	];
	return [
		'Minimize',
		` obj: ${price.join(' + ')}`,
		'Subject To',
		...rows.map((row, index) => ` r${index}: ${row}`),
		'Bounds',
		' zero = 0',
		'Binary',
		` ${binaries.join(' ')}`,
		'End'
	].join('\n');
}

function choicesOf(problem: Problem, index: number): Choice[] {
	const item = problem.items[index];
	if (!item) return [];
	const choices: Choice[] = [];
	for (const [number, page] of problem.pages.entries()) {
		if (page.exclusive ? item.page !== number : item.page !== undefined && item.page !== number)
			continue;
		const taken = new Set(page.obstacles.flatMap(({ x, y, w, h }) => cells(number, x, y, w, h)));
		for (const [option, { w, h, cost }] of (item.options[page.options] ?? []).entries())
			for (let x = 0; x + w <= page.w; x++)
				for (let y = 0; y + h <= page.h; y++) {
					const own = cells(number, x, y, w, h);
					if (own.some((cell) => taken.has(cell))) continue;
					const name = `i${index}p${number}o${option}x${x}y${y}`;
					choices.push({ name, item: index, page: number, cost, cells: own, pages: [number] });
				}
		const right = problem.pages[number + 1];
		if (page.pair === undefined || !right || page.exclusive || right.exclusive) continue;
		if (item.page !== undefined) continue;
		const takenRight = right.obstacles.flatMap(({ x, y, w, h }) => cells(number + 1, x, y, w, h));
		for (const [option, spread] of (item.spreads[page.pair] ?? []).entries()) {
			if (spread.left > page.h || spread.right > right.h) continue;
			const { covers } = spread;
			const whole = !covers && spread.left === page.h && spread.right === right.h;
			if (item.alone && !whole) continue;
			const own = covers
				? covers.flatMap((rects, on) =>
						rects.flatMap(({ x, y, w, h }) => cells(number + on, x, y, w, h))
					)
				: [
						...cells(number, 0, 0, page.w, spread.left),
						...cells(number + 1, 0, 0, right.w, spread.right)
					];
			const hit = own.some((cell) => taken.has(cell) || takenRight.includes(cell));
			// What leaves room beside it keeps clear of obstacles by itself.
			if (hit && !covers) continue;
			const name = `i${index}s${number}o${option}`;
			const both = [number, number + 1];
			choices.push({ name, item: index, page: number, cost: spread.cost, cells: own, pages: both });
		}
	}
	return choices;
}

function cells(page: number, x: number, y: number, w: number, h: number): string[] {
	const all: string[] = [];
	for (let column = x; column < x + w; column++)
		for (let row = y; row < y + h; row++) all.push(`${page} ${column} ${row}`);
	return all;
}
