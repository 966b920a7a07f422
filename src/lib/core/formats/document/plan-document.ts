import * as yup from 'yup';
import type { Cut } from '../../cuts';
import {
	sizeSteps,
	type Aim,
	type Drawn,
	type KeptMonth,
	type Lay,
	type Plan,
	type Sizes,
	type Titles
} from '../../fit';
import { deepest, type Wish } from '../../wish';
import { defaultHand, type Hand } from '../../hand';
import { formatMonth, knownLocale, parseMonth, type WeekStart } from '../../month';
import type { Notebook } from '../../paper';
import type { Theme } from '../../theme';
import { cutsFault, cutsSchema } from '../schema/cut-schema';
import { notebookSchema } from '../schema/notebook-schema';
import { drawnSchema } from '../schema/drawn-schema';
import { list, missing, oneOf, record, shown, whole, words } from '../schema/rules';
import { handSchema, weekStartSchema } from '../schema/person-schema';
import { themeSchema } from '../schema/theme-schema';
import { planFromVersion1 } from './version-1';
import { wishSchema } from '../schema/wish-schema';

export const planFormat = 'horarium/plan';
export const planVersion = 2;
export const mostWishes = 200;

/** The open file format, and what the API takes: a plan as JSON. */
export interface PlanDocument {
	readonly format: string;
	readonly version: number;
	readonly notebook: Notebook;
	/** "2027-05" */
	readonly month: string;
	readonly weekStart: WeekStart;
	readonly hand?: Hand;
	readonly locale?: string;
	readonly aim: Aim;
	readonly sizes?: Sizes;
	readonly titles?: Titles;
	readonly theme?: Theme;
	readonly lately?: readonly Lay[];
	readonly wishes: readonly Wish[];
	readonly drawn?: Drawn;
	readonly cuts?: readonly Cut[];
	readonly earlierCuts?: readonly Cut[];
	readonly earlierWeeks?: readonly string[];
}

/** A month from 1900-01 to 2200-12. */
export const monthSchema = words(7).test('month', function (value) {
	if (value === undefined || parseMonth(value)) return true;
	return this.createError({
		message: `must be a month from 1900-01 to 2200-12 such as 2027-05; it is ${shown(value)}`
	});
});

export const aimSchema = oneOf(['fewest-pages', 'balanced', 'roomiest']);

/** Which sizes of things are tried. */
export const sizesSchema = oneOf(sizeSteps);

/** Where wishes lay when a hand last moved something. */
export const latelySchema = list(
	record({
		wish: words(100).required(missing),
		page: whole(1, 2000).required(missing)
	}).required(missing),
	0,
	mostWishes
);

/** How all titles of a month are done. */
export const titlesSchema = oneOf(['lettered', 'side', 'written', 'none']);

/** Wishes of a month: at most 200, their members included, each with an id of its own. */
export const wishesSchema = list(wishSchema, 0, mostWishes)
	.required(missing)
	.test('unique', function (wishes) {
		const seen = new Map<string, string>();
		for (const { id, path } of idsIn(wishes, 'wishes')) {
			const first = seen.get(id);
			if (first !== undefined)
				return this.createError({
					path: `${this.path}${path.slice('wishes'.length)}.id`,
					message: `must be an id of its own; ${shown(id)} is taken by ${first}`
				});
			seen.set(id, path);
		}
		if (seen.size <= mostWishes) return true;
		return this.createError({
			message: `must have at most ${mostWishes} entries, members included; it has ${seen.size}`
		});
	});

/**
 * Ids of wishes and their members with their paths, as far as they have any: what they are is not known yet. What is
 * nested deeper than members may be is refused elsewhere, and not looked into.
 */
function idsIn(
	wishes: unknown,
	path: string,
	depth = 0
): { readonly id: string; readonly path: string }[] {
	if (!Array.isArray(wishes) || depth > deepest) return [];
	return wishes.flatMap((wish: unknown, index) => {
		if (typeof wish !== 'object' || wish === null) return [];
		const here = `${path}[${index}]`;
		const own = 'id' in wish && typeof wish.id === 'string' ? [{ id: wish.id, path: here }] : [];
		return 'members' in wish ? [...own, ...idsIn(wish.members, `${here}.members`, depth + 1)] : own;
	});
}

/** Weeks of some ten years. */
const mostEarlierWeeks = 600;
const firstDay = words(10).test('day', function (value) {
	if (value === undefined || isDay(value)) return true;
	return this.createError({
		message: `must be the first day of a week such as 2027-04-26; it is ${shown(value)}`
	});
});

/** Whether a text is a day of the calendar as ISO 8601 writes it. */
function isDay(text: string): boolean {
	const time = /^\d{4}-\d{2}-\d{2}$/.test(text) ? Date.parse(`${text}T00:00Z`) : NaN;
	return Number.isFinite(time) && new Date(time).toISOString().startsWith(text);
}

export const planSchema = record(
	{
		format: oneOf([planFormat]).required(missing),
		version: whole(planVersion, planVersion).required(missing),
		notebook: notebookSchema,
		month: monthSchema.required(missing),
		weekStart: weekStartSchema.default('monday'),
		hand: handSchema,
		locale: words(40),
		aim: aimSchema.default('balanced'),
		sizes: sizesSchema,
		titles: titlesSchema,
		theme: themeSchema,
		lately: latelySchema,
		wishes: wishesSchema,
		drawn: drawnSchema,
		cuts: cutsSchema,
		earlierCuts: cutsSchema,
		earlierWeeks: list(firstDay.required(missing), 0, mostEarlierWeeks)
	},
	planFromVersion1
)
	.required('must be a plan document')
	.test('cuts', function ({ notebook, cuts }) {
		// Cuts are held against the notebook only when both are right by themselves.
		if (!cuts || !notebookSchema.isValidSync(notebook) || !cutsSchema.isValidSync(cuts))
			return true;
		const fault = cutsFault(notebook, cuts);
		return fault ? this.createError(fault) : true;
	});

/** One thing that is wrong with a document, and where. */
export interface Fault {
	readonly path: string;
	readonly message: string;
}

export type Checked<T> =
	| { readonly ok: true; readonly value: T }
	| { readonly ok: false; readonly faults: readonly Fault[] };

/** The part of a Yup schema that checks. */
export interface Validator<T> {
	validateSync(value: unknown, options: yup.ValidateOptions): T;
}

/** So many faults are told at a time; who has put these right asks again. */
export const mostFaults = 50;

/** Checks a value against a schema: the typed value with its defaults, or every fault with its path. */
export function checked<T>(schema: Validator<T>, value: unknown): Checked<T> {
	try {
		return {
			ok: true,
			value: schema.validateSync(value, {
				abortEarly: false,
				// A stack for each of thousands of faults takes seconds, and nobody reads it.
				disableStackTrace: true
			})
		};
	} catch (error) {
		if (!(error instanceof yup.ValidationError)) throw error;
		const all = error.inner.length > 0 ? error.inner : [error];
		const faults = new Map<string, Fault>();
		// Several rules may object to one field; the first says enough.
		for (const { path = '', message } of all)
			if (!faults.has(path)) faults.set(path, { path, message });
		return { ok: false, faults: [...faults.values()].slice(0, mostFaults) };
	}
}

/** Reads and checks a JSON text. */
export function readJson<T>(schema: Validator<T>, text: string): Checked<T> {
	let json: unknown;
	try {
		json = JSON.parse(text);
	} catch {
		return { ok: false, faults: [{ path: '', message: 'is not JSON' }] };
	}
	return checked(schema, json);
}

/** A checked document as a plan. */
export function toPlan(document: PlanDocument): Plan {
	const month = parseMonth(document.month);
	if (!month) throw new RangeError(`no month: ${document.month}`);
	return {
		notebook: document.notebook,
		month,
		weekStart: document.weekStart,
		hand: document.hand ?? defaultHand,
		locale: knownLocale(document.locale),
		aim: document.aim,
		wishes: document.wishes,
		...(document.sizes ? { sizes: document.sizes } : {}),
		...(document.titles ? { titles: document.titles } : {}),
		...(document.theme ? { theme: document.theme } : {}),
		...(document.lately ? { lately: document.lately } : {}),
		...(document.drawn ? { drawn: document.drawn } : {}),
		...(document.cuts ? { cuts: document.cuts } : {}),
		...(document.earlierCuts ? { earlierCuts: document.earlierCuts } : {}),
		...(document.earlierWeeks ? { earlierWeeks: document.earlierWeeks } : {})
	};
}

/** What is kept of a document as a month, its notebook and its hand aside. */
export function keptMonth(document: PlanDocument): KeptMonth {
	const { month, weekStart, aim, sizes, titles, theme, lately, wishes, drawn, cuts } = document;
	return { month, weekStart, aim, sizes, titles, theme, lately, wishes, drawn, cuts };
}

/** A plan as a document. */
export function toDocument(plan: Plan): PlanDocument {
	return { format: planFormat, version: planVersion, ...plan, month: formatMonth(plan.month) };
}
