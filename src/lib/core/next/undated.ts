import { kindById } from '../catalogue';
import type { Item } from '../forms';
import { monthName, type YearMonth } from '../month';
import type { Wish } from '../wish';

/**
 * A wish as another month begins with it: nothing of what belongs to a date goes along. Events and dated goals stay behind, a
 * pin is to a page of the month before, a word that names that month names the new one.
 */
export function undated(wish: Wish, from: YearMonth, to: YearMonth, locale: string): Wish {
	const { events: _, goals: __, pin: ___, spot: ____, part: _____, ...kept } = wish;
	const named = (words: string) => renamed(words, from, to, locale);
	const title = kept.title === undefined ? undefined : named(kept.title);
	const { weeks, members, parts, text, items } = kept;
	return {
		...kept,
		...(title === undefined ? {} : { title: isUsual(wish, title) ? undefined : title }),
		...(text === undefined ? {} : { text: named(text) }),
		...(parts ? { parts: parts.map(named) } : {}),
		// Which weeks come first, and how each is ruled, was said of that month's weeks.
		...(weeks ? { weeks: { ...weeks, only: undefined, forms: undefined } } : {}),
		...(items ? { items: goingOn(items) } : {}),
		...(members ? { members: members.map((member) => undated(member, from, to, locale)) } : {})
	};
}

/** Items that are still kept up, from the first on; all of them where none is. */
function goingOn(items: readonly Item[]): Item[] {
	const left = items.filter(({ ends }) => ends === undefined);
	return (left.length > 0 ? left : items).map(({ begins: _, ends: __, ...item }) => item);
}

/** A title that says what the kind says by itself is left to it: a cover's is the month's name. */
function isUsual({ kind }: Wish, title: string): boolean {
	return kind === 'cover' && title === (kindById(kind)?.start.title ?? '');
}

const widths = ['long', 'short'] as const;

/** Words with the name of one month, as a name and not as a word such as “may”, put in the place of the other's. */
export function renamed(words: string, from: YearMonth, to: YearMonth, locale: string): string {
	const names = new Map<string, string>();
	for (const width of widths)
		for (const language of new Set([locale, 'en']))
			for (const letters of [capital, upper]) {
				const [was = '', is = ''] = [from, to].map((month) =>
					letters(monthName(language, month, width).replace('.', ''), language)
				);
				if (was && !names.has(was)) names.set(was, is);
			}
	// All in one go, the longest first: what was put there is not looked at again.
	const any = [...names.keys()].sort((a, b) => b.length - a.length).map(alone);
	// A year beside the name is that month's: a December 2027 is followed by a January 2028.
	const beside = `(?:(${any.join('|')})([\\s,.’'-]{1,3})(${from.year})(?!\\p{N}))`;
	return words.replace(
		new RegExp(`${beside}|${any.join('|')}`, 'gu'),
		(was: string, name?: string, between?: string) =>
			name === undefined
				? (names.get(was) ?? was)
				: `${names.get(name) ?? name}${between ?? ''}${to.year}`
	);
}

/** A name that stands by itself; one that begins with its number, such as 1月, may be followed by letters. */
function alone(name: string): string {
	return /^\p{N}/u.test(name)
		? `(?<!\\p{N})${escaped(name)}`
		: `(?<![\\p{L}\\p{M}])${escaped(name)}(?![\\p{L}\\p{M}])`;
}

const upper = (word: string, locale: string) => word.toLocaleUpperCase(locale);

const capital = (word: string, locale: string) => {
	const [first = '', ...rest] = [...word];
	return first.toLocaleUpperCase(locale) + rest.join('');
};

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
