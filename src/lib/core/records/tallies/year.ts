import { subjectOf } from '../../draw';
import { monthShape, parseMonth, type WeekStart } from '../../month';
import { allWishes, type Wish } from '../../wish';
import type { Entry } from '../values/entry';
import { directionNamed, minorOf, type Minor } from '../values/money';
import { habitTally, rateOf, type Marks } from '../values/rhythm';

/** A month as the year sees it: its wishes and what was filled in, without its pages. */
export interface KeptRecords {
	/** “2027-04” */
	readonly month: string;
	readonly weekStart: WeekStart;
	readonly wishes: readonly Wish[];
	readonly entries: readonly Entry[];
	/** Pages that are drawn in the book. */
	readonly pages: number;
}

/** A year in a few tables: by month “2027-04”, in order. */
export interface YearTally {
	readonly months: readonly string[];
	/** States by day, of the first thing that has states. */
	readonly levels: {
		readonly names: readonly string[];
		readonly days: ReadonlyMap<string, ReadonlyMap<number, number>>;
	};
	/** Share of what was due that was met, by habit and month. */
	readonly rates: ReadonlyMap<string, ReadonlyMap<string, number>>;
	/** Money by category and month. */
	readonly money: ReadonlyMap<string, ReadonlyMap<string, Minor>>;
	readonly pages: ReadonlyMap<string, number>;
}

/** What months of a year come to. A month that is kept only to some day is due until the last day that was filled in. */
export function yearTally(months: readonly KeptRecords[]): YearTally {
	const levels = new Map<string, ReadonlyMap<number, number>>();
	const rates = new Map<string, Map<string, number>>();
	const money = new Map<string, Map<string, Minor>>();
	let names: readonly string[] = [];
	for (const { month, weekStart, wishes, entries } of months) {
		const known = allWishes(wishes);
		const found = entries.flatMap((entry) => {
			const about = subjectOf(entry.about);
			return about ? [{ ...entry, about }] : [];
		});
		const states = found.filter(({ holds, about }) => holds === 'level' && about.day !== undefined);
		const first = states[0]?.wish;
		names = known.find(({ id }) => id === first)?.levels ?? names;
		levels.set(
			month,
			new Map(
				states
					.filter(({ wish }) => wish === first)
					.map(({ about, value }) => [about.day ?? 0, Number(value)])
			)
		);
		const parsed = parseMonth(month);
		if (!parsed) continue;
		const shape = monthShape(parsed, weekStart);
		const until = Math.max(0, ...found.map(({ about }) => about.day ?? 0));
		for (const wish of known)
			for (const item of wish.items ?? []) {
				const own = found.filter(
					({ wish: id, about, holds }) =>
						id === wish.id && about.item === item.name && holds === 'mark'
				);
				if (own.length === 0) continue;
				const marks: Marks = {
					days: new Map(own.flatMap(({ about, value }) => (about.day ? [[about.day, value]] : []))),
					weeks: new Map(
						own.flatMap(({ about, value }) =>
							about.week ? [[about.week, Number(value === 'x')]] : []
						)
					),
					month: own.filter(({ about, value }) => !about.day && !about.week && value === 'x').length
				};
				const last = Math.min(until, item.ends ?? until);
				const rate = rateOf(habitTally(item, shape, marks, last, item.begins));
				if (rate !== undefined) entryOf(rates, item.name).set(month, rate);
			}
		const rows = new Map<string, { minor: Minor; category: string }>();
		for (const { wish, about, holds, value } of found) {
			if (about.row === undefined) continue;
			const key = `${wish} ${about.row}`;
			const row = rows.get(key) ?? { minor: 0, category: '' };
			if (holds === 'money') {
				const kind = known.find(({ id }) => id === wish)?.kind;
				const way = directionNamed(about.column ?? '') ?? (kind === 'income' ? 'in' : 'out');
				// What came in is no spending.
				if (way === 'out') rows.set(key, { ...row, minor: row.minor + (minorOf(value) ?? 0) });
			} else if (holds === 'text' && about.column === columnOfCategory(known, wish))
				rows.set(key, { ...row, category: value });
		}
		for (const { minor, category } of rows.values()) {
			if (minor === 0) continue;
			const sums = entryOf(money, category);
			sums.set(month, (sums.get(month) ?? 0) + minor);
		}
	}
	return {
		months: months.map(({ month }) => month),
		levels: { names, days: levels },
		rates,
		money,
		pages: new Map(months.map(({ month, pages }) => [month, pages]))
	};
}

/** The last column of words of a table that has several says what a row was for. */
function columnOfCategory(wishes: readonly Wish[], id: string): string | undefined {
	const columns = wishes.find((wish) => wish.id === id)?.columns ?? [];
	const words = columns.filter(
		({ name, holds }) => (holds ?? 'text') === 'text' && !name.includes('¤')
	);
	return words.length > 1 ? words.at(-1)?.name : undefined;
}

function entryOf<T>(all: Map<string, Map<string, T>>, name: string): Map<string, T> {
	const found = all.get(name) ?? new Map<string, T>();
	all.set(name, found);
	return found;
}
