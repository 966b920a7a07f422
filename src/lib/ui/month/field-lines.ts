import type { Column, Goal, Item, PlannedEvent, Rhythm } from '$lib/core/forms';
import { daysIn, monthName, type YearMonth } from '$lib/core/month';

/** What a text of lines says: its entries, and the lines that cannot be understood. */
export interface ReadLines<T> {
	readonly entries: T[];
	readonly unread: readonly string[];
}

/** Lists as one edits them, one entry a line, and the entries that such a text names. */
export interface LineFormat<T> {
	readonly write: (entries: readonly T[]) => string;
	readonly read: (text: string, before: readonly T[]) => ReadLines<T>;
	/** A line as it is understood. */
	readonly example: string;
}

function linesOf(text: string): string[] {
	return text
		.split('\n')
		.map((line) => line.trim())
		.filter(Boolean);
}

function listOf<T>(
	example: string,
	write: (entry: T) => string,
	read: (line: string, before: readonly T[]) => T | undefined
): LineFormat<T> {
	return {
		example,
		write: (entries) => entries.map(write).join('\n'),
		read: (text, before) => {
			const lines = linesOf(text).map((line) => ({ line, entry: read(line, before) }));
			return {
				entries: lines.flatMap(({ entry }) => (entry === undefined ? [] : [entry])),
				unread: lines.flatMap(({ line, entry }) => (entry === undefined ? [line] : []))
			};
		}
	};
}

/** Plain names. */
export const nameLines: LineFormat<string> = listOf(
	'Home',
	(name) => name,
	(line) => line
);

const rhythms: Readonly<Record<string, Rhythm>> = {
	daily: 'daily',
	weekly: 'weekly',
	monthly: 'monthly',
	'now and then': 'now-and-then',
	threshold: 'threshold'
};

function rhythmWords({ rhythm, goal, upTo }: Item): string {
	const times = (usual?: number) => `${goal ?? usual}${upTo === undefined ? '' : ` to ${upTo}`}`;
	if (rhythm === 'times-a-week') return `${times(3)} a week`;
	if (rhythm === 'daily' && goal) return `${times()} a month`;
	if (rhythm === 'times-a-day') return `${times(2)} a day`;
	return Object.entries(rhythms).find(([, value]) => value === rhythm)?.[0] ?? '';
}

function readRhythm(words: string): Pick<Item, 'rhythm' | 'goal' | 'upTo'> {
	const times = /^(\d{1,3})(?:\s*(?:to|–|-)\s*(\d{1,3}))? a (week|day|month)$/.exec(words);
	if (!times) return { rhythm: rhythms[words] };
	const often = {
		goal: Number(times[1]),
		...(times[2] === undefined ? {} : { upTo: Number(times[2]) })
	};
	if (times[3] === 'month') return { rhythm: 'daily', ...often };
	return { rhythm: times[3] === 'week' ? 'times-a-week' : 'times-a-day', ...often };
}

type Said = Pick<Item, 'rhythm' | 'goal' | 'upTo' | 'begins' | 'ends'>;

/** What brackets say of a habit: a rhythm, since when, until when; undefined where a part of them says none of it. */
function readSaid(words: string): Said | undefined {
	let said: Said = {};
	for (const part of words.split(/,\s*/)) {
		const time = /^(from|until) (\d{1,2})(?: until (\d{1,2}))?$/.exec(part);
		const rhythm = readRhythm(part);
		const [, which, day, last = which === 'until' ? day : undefined] = time ?? [];
		const days = [day, last].flatMap((text) => (text === undefined ? [] : [Number(text)]));
		if (days.some((each) => each < 1 || each > 31)) return undefined;
		if (time)
			said = {
				...said,
				...(which === 'from' ? { begins: Number(day) } : {}),
				...(last === undefined ? {} : { ends: Number(last) })
			};
		else if (rhythm.rhythm) said = { ...said, ...rhythm };
		else return undefined;
	}
	return said;
}

/**
 * Habits: "Feed the dough / Dough / D (3 a week)": a shorter form after a slash, a sign for narrow grids
 * after another, a rhythm in brackets, "3 to 4 a week" too, and since when or until when in the month: "(3 a week, from 12)",
 * "(until 20)". A line "# health" begins a group, "#" alone ends it.
 */
export const itemLines: LineFormat<Item> = {
	write: (items) =>
		items
			.flatMap((item, index) => {
				const begins = item.group !== items[index - 1]?.group;
				return [...(begins ? [`# ${item.group ?? ''}`.trim()] : []), writeItem(item)];
			})
			.join('\n'),
	read: (text, before) => {
		let group: string | undefined;
		const unread: string[] = [];
		const entries = linesOf(text).flatMap((line): Item[] => {
			if (line.startsWith('#')) {
				group = line.slice(1).trim() || undefined;
				return [];
			}
			const item = readItem(line, before);
			if (!item) unread.push(line);
			return item ? [{ ...item, group }] : [];
		});
		return { entries, unread };
	},
	example: 'Feed the dough / Dough (3 a week)'
};

function writeItem(item: Item): string {
	const { begins, ends } = item;
	const said = [
		rhythmWords(item),
		begins === undefined ? '' : `from ${begins}`,
		ends === undefined ? '' : `until ${ends}`
	].filter(Boolean);
	const short = item.short ?? (item.symbol === undefined ? undefined : '');
	const names = [item.name, short, item.symbol].filter((part) => part !== undefined).join(' / ');
	return `${names}${said.length > 0 ? ` (${said.join(', ')})` : ''}`;
}

function readItem(line: string, before: readonly Item[]): Item | undefined {
	const bracket = /^(.*?)\s*\(([^()]*)\)$/.exec(line);
	const said = bracket?.[2] === undefined ? undefined : readSaid(bracket[2].trim());
	// Brackets that say neither a rhythm nor a time belong to the name.
	const names = said && bracket?.[1] ? bracket[1] : line;
	const { rhythm, goal, upTo, begins, ends }: Said = (names !== line && said) || {};
	const [name = '', short = '', symbol = ''] = `${names} `.split(' / ').map((part) => part.trim());
	if (!name) return undefined;
	const kept = before.find((item) => item.name === name) ?? { name };
	return {
		...kept,
		name,
		short: short || undefined,
		symbol: symbol || undefined,
		rhythm,
		goal: goal ?? kept.goal,
		upTo: goal === undefined ? kept.upTo : upTo,
		begins,
		ends
	};
}

/**
 * Columns of a table: "Item 6", the width in squares last; or "Item = Concertina reeds", the longest value
 * expected, from which the width follows; or the name alone.
 */
const plainColumns: LineFormat<Column> = listOf(
	'Item 6',
	({ name, width, longest }) =>
		longest ? `${name} = ${longest}` : width === undefined ? name : `${name} ${width}`,
	(line) => {
		const sample = /^(.*\S)\s+=\s+(.+)$/.exec(line);
		if (sample?.[1]) return { name: sample[1], longest: sample[2] };
		const match = /^(.*\S)\s+(\d{1,2})$/.exec(line);
		if (!match?.[1]) return { name: line };
		return { name: match[1], width: Math.max(1, Number(match[2])) };
	}
);

/** The same; what a column holds is not written and stays with its name. */
export const columnLines: LineFormat<Column> = {
	...plainColumns,
	read: (text, before) => {
		const { entries, unread } = plainColumns.read(text, before);
		const kept = entries.map((column): Column => {
			const holds = before.find(({ name }) => name === column.name)?.holds;
			return holds ? { ...column, holds } : column;
		});
		return { entries: kept, unread };
	}
};

function day(text: string | undefined): number {
	return Math.min(31, Math.max(1, Number(text)));
}

/** Goals: "Learn the reel 3–20 +4": from day to day, then days of slack. */
export const goalLines: LineFormat<Goal> = listOf(
	'Learn the reel 3–20 +4, 10 h',
	({ name, from, to, slack, hours }) =>
		`${name} ${from}–${to}${slack ? ` +${slack}` : ''}${hours === undefined ? '' : `, ${hours} h`}`,
	(line) => {
		const match =
			/^(.*\S)\s+(\d{1,2})\s*[–-]\s*(\d{1,2})(?:\s*\+(\d{1,2}))?(?:,?\s*(\d{1,3}(?:[.,]\d{1,2})?)\s*h)?$/.exec(
				line
			);
		if (!match?.[1]) return undefined;
		const slack = match[4] === undefined ? undefined : Math.min(31, Number(match[4]));
		return {
			name: match[1],
			from: day(match[2]),
			to: Math.max(day(match[2]), day(match[3])),
			slack,
			...(match[5] === undefined ? {} : { hours: Number(match[5].replace(',', '.')) })
		};
	}
);

/**
 * Events of a month: "12 19:30 Choir": the day, a time if there is one, and what it is. The day may also come as
 * "12.", "12.5.", "May 12" or "12 May", in English or in the language of the pages; of another month it is not read.
 */
export function eventLines(month: YearMonth, locale: string): LineFormat<PlannedEvent> {
	const names = [...new Set(['en', locale])].flatMap((language) => [
		monthName(language, month),
		monthName(language, month, 'short')
	]);
	const known = new Set(names.map((name) => bare(name, locale)));
	return listOf(
		'12 19:30 Choir',
		({ day, time, text }) => [day, time, text].filter(Boolean).join(' '),
		(line) => {
			const match =
				/^(?:(\p{L}+\.?)\s+)?(\d{1,2})(?:\.(\d{1,2})\.?|\.)?\s+(?:(\p{L}+\.?)\s+(?=\S))?(?:(\d{1,2}[:.]\d{2})\s+)?(.+)$/u.exec(
					line
				);
			if (!match) return undefined;
			const [, before, day, number, after, time, rest = ''] = match;
			if (before !== undefined && !known.has(bare(before, locale))) return undefined;
			if (number !== undefined && Number(number) !== month.month) return undefined;
			if (Number(day) < 1 || Number(day) > daysIn(month)) return undefined;
			// A word after the day that is no month begins what happens.
			const named = after === undefined || known.has(bare(after, locale));
			const text = named ? rest : `${after} ${time === undefined ? '' : `${time} `}${rest}`;
			return {
				day: Number(day),
				time: named ? time?.replace('.', ':') : undefined,
				text: text.slice(0, 300)
			};
		}
	);
}

function bare(name: string, locale: string): string {
	return name.replace(/\.$/, '').toLocaleLowerCase(locale);
}
