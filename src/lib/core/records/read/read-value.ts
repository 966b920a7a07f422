import type { Holds } from '../../draw';
import { fullness } from '../values/entry';
import { readTimes, timesText } from '../values/times';

/** A value in its plain form, or why a text is none. */
export type Read =
	{ readonly ok: true; readonly value: string } | { readonly ok: false; readonly says: string };

const good = (value: string): Read => ({ ok: true, value });
const wrong = (says: string): Read => ({ ok: false, says });

const mostText = 2000;
const mostNumber = 10_000_000;

/**
 * What a person typed into a field, in its plain form: “x” done, “-” missed, “o” not due, or a count; a level's number;
 * a number with a point; “23:30-07:10”; money with two places; words as they are; an empty text where nothing stands.
 * Numbers are read as the person's language writes them.
 */
export function readValue(
	holds: Holds,
	typed: string,
	{ locale, levels = 6, days = 31 }: { locale: string; levels?: number; days?: number }
): Read {
	const text = typed.trim();
	if (text === '') return good('');
	switch (holds) {
		case 'mark':
			return readMark(text);
		case 'tick':
			return readTick(text);
		case 'level':
			if (text === '.') return good('');
			return whole(text, 1, levels, `a state of the key, 1 to ${levels}`);
		case 'date':
			return whole(text, 1, days, `a day of the month, 1 to ${days}`);
		case 'number':
			return readNumber(text, locale);
		case 'money':
			return readMoney(text, locale);
		case 'times': {
			const spans = readTimes(text);
			return spans
				? good(timesText(spans))
				: wrong(`“${text}” is no span of time; write it as 23:30-7:10`);
		}
		case 'full': {
			const found = fullness.find((full, at) => full === text || String(at) === text);
			return found ? good(found) : wrong(`write ${fullness.join(', ')}, or 0 to 4`);
		}
		case 'text':
			return text.length <= mostText
				? good(text)
				: wrong(`at most ${mostText} letters are kept of one entry; it has ${text.length}`);
	}
}

function readMark(text: string): Read {
	const sign = text.toLowerCase();
	if (sign === 'x' || sign === '1' || sign === '✓') return good('x');
	if (sign === '-' || sign === '–') return good('-');
	if (sign === 'o' || sign === '0') return good('o');
	if (sign === '.') return good('');
	return whole(text, 2, 99, 'x for done, - for missed, o for not due, or how often');
}

function readTick(text: string): Read {
	const sign = text.toLowerCase();
	if (sign === 'x' || sign === '1' || sign === '✓') return good('x');
	return sign === '-' || sign === '0' || sign === '.'
		? good('')
		: wrong(`“${text}” is no tick; write x`);
}

function whole(text: string, least: number, most: number, what: string): Read {
	const value = /^\d{1,9}$/.test(text) ? Number(text) : NaN;
	return value >= least && value <= most ? good(String(value)) : wrong(`“${text}” is not ${what}`);
}

function readNumber(text: string, locale: string): Read {
	const plain = plainNumber(text, locale);
	if (plain === undefined) return wrong(`“${text}” is no number; write it as ${sample(locale)}`);
	if (Math.abs(Number(plain)) > mostNumber)
		return wrong(`${text} is more than anybody counts; at most ${mostNumber}`);
	return good(plain);
}

function readMoney(text: string, locale: string): Read {
	const bare = text.replace(/^\p{Sc}\s*|\s*\p{Sc}$/gu, '');
	const plain = plainNumber(bare, locale);
	if (plain === undefined || Math.abs(Number(plain)) > mostNumber)
		return wrong(`“${text}” is no sum of money; write it as ${sample(locale)}`);
	const [, sign = '', units = '', places = ''] = /^(-?)(\d+)(?:\.(\d+))?$/.exec(plain) ?? [];
	return /^0*$/.test(places.slice(2))
		? good(`${sign}${units}.${places.slice(0, 2).padEnd(2, '0')}`)
		: wrong(`“${text}” has more than two places`);
}

/** Signs by which a language parts a number. */
function signsOf(locale: string): { readonly point: string; readonly group: string } {
	const parts = new Intl.NumberFormat(locale).formatToParts(1234567.5);
	const of = (type: string) => parts.find((part) => part.type === type)?.value ?? '';
	return { point: of('decimal') || '.', group: of('group') };
}

/**
 * A number with a point and nothing else, such as -1250.5; undefined where it is none. A sign that may be the point or
 * part thousands is the language's own; the other language's point is taken where it can be nothing else.
 */
function plainNumber(text: string, locale: string): string | undefined {
	const { point, group } = signsOf(locale);
	const bare = text.replace(/[\s\u00a0\u202f'’]/g, '').replace(/^[−–]/, '-');
	const found = /^(-?)([\d.,]+)$/.exec(bare);
	if (!found) return undefined;
	const [, sign = '', digits = ''] = found;
	const grouped = new RegExp(`^\\d{1,3}(?:\\${group || ','}\\d{3})+(?:\\${point}\\d+)?$`);
	const usual = new RegExp(`^\\d+(?:\\${point}\\d+)?$`);
	const other = point === ',' ? '.' : ',';
	const foreign = new RegExp(`^\\d+\\${other}(?:\\d{1,2}|\\d{4,})$`);
	if (group && grouped.test(digits))
		return tidy(sign, digits.replaceAll(group, '').replace(point, '.'));
	if (usual.test(digits)) return tidy(sign, digits.replace(point, '.'));
	return foreign.test(digits) ? tidy(sign, digits.replace(other, '.')) : undefined;
}

function tidy(sign: string, digits: string): string {
	const [units = '', places] = digits.split('.');
	const short = units.replace(/^0+(?=\d)/, '');
	return `${sign}${short}${places ? `.${places}` : ''}`;
}

const sample = (locale: string) => new Intl.NumberFormat(locale).format(1250.5);

/** A value as a person reads it on screen, in their language. */
export function valueText(holds: Holds, value: string, locale: string): string {
	if (value === '') return '';
	if (holds === 'number') return new Intl.NumberFormat(locale).format(Number(value));
	if (holds === 'money')
		return new Intl.NumberFormat(locale, { minimumFractionDigits: 2 }).format(Number(value));
	return value;
}
