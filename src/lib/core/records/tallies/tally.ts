import { kindById } from '../../catalogue';
import { subjectOf, type Holds, type Subject } from '../../draw';
import type { Item } from '../../forms';
import { textWidth, type Hand } from '../../hand';
import type { MonthShape } from '../../month';
import type { Wish } from '../../wish';
import { fullness, type Entry, type Full } from '../values/entry';
import {
	directionNamed,
	minorOf,
	moneyTally,
	type Booking,
	type Direction,
	type MoneyTally
} from '../values/money';
import { habitTally, type HabitTally } from '../values/rhythm';
import { numberTally, quantileOf, type DayValue, type NumberTally } from './statistics';
import { circularMean, readTimes, type TimeSpan } from '../values/times';
import { itemsIn, type Tracker } from '../values/trackers';

/** How much of a column is used by what was written into it. */
export interface ColumnUse {
	readonly name: string;
	readonly width: number;
	/** Squares in which 95 of 100 entries fit, in the person's hand. */
	readonly needed: number;
}

/** What was recorded of a tracker, added up. */
export type Tally =
	| {
			readonly of: 'marks';
			readonly rows: readonly {
				readonly item: Item;
				readonly days: ReadonlyMap<number, string>;
				readonly tally: HabitTally;
			}[];
	  }
	| {
			readonly of: 'levels';
			readonly levels: readonly string[];
			readonly days: ReadonlyMap<number, number>;
			readonly mean: number | undefined;
	  }
	| {
			readonly of: 'times';
			readonly nights: ReadonlyMap<number, readonly TimeSpan[]>;
			/** Minutes, on the mean. */
			readonly length: number | undefined;
			readonly from: ReturnType<typeof circularMean>;
			readonly to: ReturnType<typeof circularMean>;
	  }
	| {
			readonly of: 'numbers';
			readonly rows: readonly {
				readonly item: string | undefined;
				readonly values: readonly DayValue[];
				readonly tally: NumberTally | undefined;
			}[];
	  }
	| {
			readonly of: 'rows';
			readonly used: number;
			readonly ruled: number;
			/** Day of the last row, where all rows are used and days are written down. */
			readonly ranOut: number | undefined;
			readonly columns: readonly ColumnUse[];
			readonly money: MoneyTally | undefined;
	  }
	| {
			readonly of: 'texts';
			readonly filled: number;
			readonly places: number;
			readonly longest: number;
	  }
	| { readonly of: 'room'; readonly full: readonly Full[]; readonly places: number };

/** What was entered under a wish, with its subjects. */
interface Own {
	readonly about: Subject;
	readonly holds: Holds;
	readonly value: string;
}

export interface TallySetting {
	readonly month: MonthShape;
	readonly hand: Hand;
	/** The last day that is over. */
	readonly until: number;
}

/** The entries of a wish, as far as they say what they are about. */
export function entriesOf(wish: string, entries: readonly Entry[]): Own[] {
	return entries.flatMap((entry) => {
		const about = entry.wish === wish ? subjectOf(entry.about) : undefined;
		return about ? [{ about, holds: entry.holds, value: entry.value }] : [];
	});
}

/** What was recorded of a tracker until a day, added up; undefined where it holds nothing that is counted. */
export function tallyOf(
	tracker: Tracker,
	entries: readonly Entry[],
	setting: TallySetting
): Tally | undefined {
	const holds = new Set(tracker.fields.map((field) => field.holds));
	const own = entriesOf(tracker.wish.id, entries).filter(
		({ about, holds: held }) =>
			(about.day === undefined || about.day <= setting.until) &&
			// How full a page of something else became is not written on it.
			(held !== 'full' || holds.has('full'))
	);
	if (tracker.fields.some(({ about }) => about.row !== undefined))
		return rowsTally(tracker, own, setting);
	if (holds.has('mark')) return marksTally(tracker, own, setting);
	if (holds.has('level')) return levelsTally(tracker, own);
	if (holds.has('times')) return timesTally(own);
	if (holds.has('number')) return numbersTally(tracker, own);
	if (holds.has('full')) {
		const full = own.flatMap(({ value }) => fullness.find((name) => name === value) ?? []);
		return { of: 'room', full, places: tracker.fields.length };
	}
	if (!holds.has('text')) return undefined;
	const longest = Math.max(0, ...own.map(({ value }) => textWidth(value, setting.hand)));
	return { of: 'texts', filled: own.length, places: tracker.fields.length, longest };
}

/** The item of a wish by its name; one that is no longer there is told by its name alone. */
function itemNamed({ items }: Wish, name: string | undefined, title: string): Item {
	return items?.find((item) => item.name === name) ?? { name: name ?? title };
}

function marksTally(tracker: Tracker, own: readonly Own[], setting: TallySetting): Tally {
	// What was kept of a habit that is gone is still shown.
	const names = [...new Set([...itemsIn(tracker), ...own.map(({ about }) => about.item)])];
	return {
		of: 'marks',
		rows: names.map((name) => {
			const item = itemNamed(tracker.wish, name, tracker.name);
			const mine = own.filter(({ about }) => about.item === name);
			const days = new Map<number, string>();
			const weeks = new Map<number, number>();
			let month = 0;
			for (const { about, value } of mine) {
				const once = value === '-' || value === 'o' ? 0 : 1;
				if (about.day !== undefined) days.set(about.day, added(days.get(about.day), value));
				else if (about.week !== undefined)
					weeks.set(about.week, (weeks.get(about.week) ?? 0) + once);
				else month += once;
			}
			const marks = { days, weeks, month };
			const until = Math.min(setting.until, item.ends ?? setting.until);
			const tally = habitTally(item, setting.month, marks, until, item.begins);
			return { item, days, tally };
		})
	};
}

/** Several boxes of one day are so many times. */
function added(before: string | undefined, value: string): string {
	if (before === undefined || before === '-') return value;
	if (value === '-' || value === 'o') return before;
	const times = (mark: string) => (mark === 'x' ? 1 : Number(mark) || 0);
	return String(times(before) + times(value));
}

function levelsTally({ fields }: Tracker, own: readonly Own[]): Tally {
	const levels = fields.find((field) => field.levels)?.levels ?? [];
	const days = new Map(
		own.flatMap(({ about, value }) => (about.day === undefined ? [] : [[about.day, Number(value)]]))
	);
	const all = [...days.values()];
	const mean = all.length > 0 ? all.reduce((sum, level) => sum + level, 0) / all.length : undefined;
	return { of: 'levels', levels, days, mean };
}

function timesTally(own: readonly Own[]): Tally {
	const nights = new Map(
		own.flatMap(({ about, value }) => {
			const spans = readTimes(value);
			return about.day === undefined || !spans ? [] : [[about.day, spans] as const];
		})
	);
	const all = [...nights.values()];
	const lengths = all.map((spans) => spans.reduce((sum, { from, to }) => sum + to - from, 0));
	const length =
		lengths.length > 0 ? lengths.reduce((sum, one) => sum + one, 0) / lengths.length : undefined;
	return {
		of: 'times',
		nights,
		length,
		from: circularMean(all.flatMap(([first]) => (first ? [first.from] : []))),
		to: circularMean(all.flatMap((spans) => spans.at(-1)?.to ?? []))
	};
}

function numbersTally(tracker: Tracker, own: readonly Own[]): Tally {
	const names = [...new Set([...itemsIn(tracker), ...own.map(({ about }) => about.item)])];
	return {
		of: 'numbers',
		rows: names.flatMap((item) => {
			const values = own
				.flatMap(({ about, holds, value }) =>
					about.item === item && about.day !== undefined && holds === 'number'
						? [{ day: about.day, value: Number(value) }]
						: []
				)
				.sort((a, b) => a.day - b.day);
			return [{ item, values, tally: numberTally(values, kindById(tracker.wish.kind)?.grows) }];
		})
	};
}

/** Which way the money of a table goes: in, for income and where all its columns of money say so; else out. */
export function ownDirection({ wish, fields }: Tracker): Direction {
	const named = fields.flatMap(({ about, holds }) =>
		holds === 'money' ? [directionNamed(about.column ?? '')] : []
	);
	const allIn = named.length > 0 && named.every((direction) => direction === 'in');
	return wish.kind === 'income' || allIn ? 'in' : 'out';
}

function rowsTally(tracker: Tracker, entered: readonly Own[], { hand }: TallySetting): Tally {
	const rowKey = ({ item, row }: Subject) => `${item ?? ''} ${row ?? 0}`;
	const written = entered.filter(({ holds, value }) => holds !== 'tick' && value !== '');
	const rows = new Map<string, Own[]>();
	for (const entry of written) {
		const key = rowKey(entry.about);
		rows.set(key, [...(rows.get(key) ?? []), entry]);
	}
	const fields = tracker.fields.filter(({ holds }) => holds !== 'tick');
	const ruled = new Set(fields.map(({ about }) => rowKey(about))).size;
	const valueIn = (entries: readonly Own[], holds: Holds) =>
		entries.find((entry) => entry.holds === holds)?.value;
	const dayOf = (entries: readonly Own[]) => {
		const day = Number(valueIn(entries, 'date'));
		return Number.isInteger(day) && day > 0 ? day : undefined;
	};
	const days = [...rows.values()].flatMap((entries) => dayOf(entries) ?? []);
	// What a row was for stands in the last of several columns of words.
	const words = [
		...new Set(fields.filter(({ holds }) => holds === 'text').map(({ about }) => about.column))
	];
	const purpose = words.length > 1 ? words.at(-1) : undefined;
	const own = ownDirection(tracker);
	const bookings = [...rows.values()].flatMap((entries) => {
		const category = entries.find(({ about }) => about.column === purpose)?.value;
		return entries.flatMap(({ about, holds, value }): Booking[] => {
			const minor = holds === 'money' ? minorOf(value) : undefined;
			if (minor === undefined) return [];
			const against = (directionNamed(about.column ?? '') ?? own) !== own;
			return [
				{
					minor,
					category: (purpose !== undefined && category) || '',
					day: dayOf(entries),
					...(against ? { against } : {})
				}
			];
		});
	});
	const columns = new Map(
		fields.map(({ about, w }) => [about.column ?? '', { name: about.column ?? '', width: w }])
	);
	return {
		of: 'rows',
		used: rows.size,
		ruled,
		ranOut: rows.size >= ruled && days.length > 0 ? Math.max(...days) : undefined,
		columns: [...columns.values()].map(({ name, width }) => {
			const widths = written
				.filter(({ about }) => (about.column ?? '') === name)
				.map(({ value }) => textWidth(value, hand));
			return { name, width, needed: Math.ceil(quantileOf(widths, 0.95) ?? 0) };
		}),
		money: bookings.length > 0 ? moneyTally(bookings) : undefined
	};
}
