import type { Rect } from '../paper';

/** What a field is about, as far as it is about something: it says what is meant, never where it stands. */
export interface Subject {
	/** Name of a habit, of a value, of a box. */
	readonly item?: string;
	readonly day?: number;
	/** Row of the month's grid, from 1. */
	readonly week?: number;
	/** Line of a table or list, from 1. */
	readonly row?: number;
	readonly column?: string;
	/** Which one of several, from 1. */
	readonly nth?: number;
}

/** What is written into fields. */
export const holdings = [
	'mark',
	'level',
	'number',
	'times',
	'text',
	'money',
	'date',
	'tick',
	'full'
] as const;

export type Holds = (typeof holdings)[number];

/** What the squares along a field stand for: minutes of the day, or the field's own unit. */
export interface FieldScale {
	/** What its first line stands for. */
	readonly from: number;
	/** How much a square is. */
	readonly per: number;
	/** Squares of the scale; a field may go on beyond it. */
	readonly squares: number;
	/** Runs from right to left. */
	readonly back?: boolean;
}

/** A place on a page that is filled in during the month; it is not drawn. */
export interface FieldMark extends Rect {
	readonly kind: 'field';
	readonly about: Subject;
	readonly holds: Holds;
	/** Names of the states that a level is one of. */
	readonly levels?: readonly string[];
	/** The rectangle is the middle of a hexagon that reaches so far beyond it on both sides. */
	readonly beyond?: number;
	readonly scale?: FieldScale;
}

/** A field in a rectangle. */
export function field(
	rect: Rect,
	about: Subject,
	holds: Holds,
	levels?: readonly string[]
): FieldMark {
	const { x, y, w, h } = rect;
	return { kind: 'field', x, y, w, h, about, holds, ...(levels ? { levels } : {}) };
}

/** Tells names apart that come several times: nothing for the first, then the second, the third … */
export function whichOf(names: readonly string[], at: number): Pick<Subject, 'nth'> {
	const before = names.slice(0, at).filter((name) => name === names[at]).length;
	return before > 0 ? { nth: before + 1 } : {};
}

const order = ['item', 'day', 'week', 'row', 'column', 'nth'] as const;

/** A subject as a text, the same for the same subject: "item=Walk&day=3". */
export function subjectKey(about: Subject): string {
	return order
		.flatMap((name) => {
			const value = about[name];
			return value === undefined ? [] : [`${name}=${encodeURIComponent(value)}`];
		})
		.join('&');
}

/** The subject that a text stands for; undefined where it is none. */
export function subjectOf(key: string): Subject | undefined {
	const about: Record<string, string | number> = {};
	for (const part of key === '' ? [] : key.split('&')) {
		const [name, text] = part.split('=');
		const known = order.find((other) => other === name);
		if (!known || text === undefined || known in about) return undefined;
		let value: string;
		try {
			value = decodeURIComponent(text);
		} catch {
			return undefined;
		}
		if (known === 'item' || known === 'column') about[known] = value;
		else if (/^[1-9]\d{0,5}$/.test(value)) about[known] = Number(value);
		else return undefined;
	}
	return about;
}
