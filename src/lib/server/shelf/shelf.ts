import {
	emptyRun,
	planOf,
	weeksShown,
	withEarlier,
	type Person,
	type Plan,
	type Run
} from '$lib/core/fit';
import type { Cut } from '$lib/core/cuts';
import type { Theme } from '$lib/core/theme';
import { freeAfter, plannablePages, withDrawn, type Notebook } from '$lib/core/paper';
import type { MonthRecord } from '../stores/month-row';
import type { Store } from './store';
import { runApart, TooMuch } from '../work';

/** A month as it stands in its book, after the months before it. */
export interface PlacedMonth {
	readonly record: MonthRecord;
	readonly plan: Plan;
	readonly run: Run;
	/** The month after this one in the book, and the page on which it begins. */
	readonly next?: { readonly month: string; readonly first: number };
	/** The colours of the month before it in the book that has some. */
	readonly themeBefore?: Theme;
	/** Why the run is none: planning it takes longer than one request may take. */
	readonly trouble?: string;
}

const runs = new Map<string, Run>();
const mostRuns = 40;

/** The run of a plan; the last ones are kept, because a book's earlier months seldom change. */
async function runOf(plan: Plan): Promise<Pick<PlacedMonth, 'run' | 'trouble'>> {
	const name = JSON.stringify(plan);
	const known = runs.get(name);
	try {
		const run = known ?? (await runApart(plan));
		runs.delete(name);
		runs.set(name, run);
		const [oldest] = runs.keys();
		if (runs.size > mostRuns && oldest !== undefined) runs.delete(oldest);
		return { run };
	} catch (error) {
		// The month must stay within reach, or nobody could make it smaller.
		if (error instanceof TooMuch) return { run: emptyRun, trouble: error.message };
		throw error;
	}
}

/**
 * The months of a notebook in order, each planned into the pages that those before it leave. What is
 * planned for a later month never moves an earlier one. They come one by one, because twenty years of them are too much to hold.
 */
export async function* placedMonths(
	store: Store,
	notebookId: string,
	notebook: Notebook,
	person: Person
): AsyncGenerator<PlacedMonth> {
	let book = notebook;
	let cuts: readonly Cut[] = [];
	let weeks: readonly string[] = [];
	const records = (await store.months.inNotebook(notebookId)).filter(({ deleted }) => !deleted);
	for (const record of records) {
		// What any other month has drawn is closed to this one, also what a later one has.
		const others = records.filter((other) => other !== record);
		const taken = others.flatMap(({ drawn }) => drawn?.pages ?? []);
		const plan = withEarlier(planOf(record, withDrawn(book, taken), person), cuts, weeks);
		const done = await runOf(plan);
		yield { record, plan, ...done };
		cuts = [...cuts, ...(record.cuts ?? [])];
		weeks = [...weeks, ...weeksShown(plan, done.run)];
		const last = done.run.pages.at(-1);
		if (last) book = freeAfter(book, last.number);
	}
}

/** All of them at once. */
export async function monthsInBook(
	...asked: Parameters<typeof placedMonths>
): Promise<PlacedMonth[]> {
	const all: PlacedMonth[] = [];
	for await (const month of placedMonths(...asked)) all.push(month);
	return all;
}

/** A month in its book; undefined when either is not kept, or deleted. */
export async function placedMonth(
	store: Store,
	id: string,
	person: Person
): Promise<PlacedMonth | undefined> {
	const record = await store.months.find(id);
	const kept = record && !record.deleted && (await store.notebooks.find(record.notebookId));
	if (!kept) return undefined;
	const placed = await monthsInBook(store, kept.id, kept.notebook, person);
	const at = placed.findIndex((month) => month.record.id === id);
	const month = placed[at];
	const after = placed[at + 1];
	const themeBefore = placed.slice(0, at).findLast(({ record }) => record.theme)?.record.theme;
	const first = after?.run.pages[0]?.number;
	if (!month) return undefined;
	return {
		...month,
		...(themeBefore ? { themeBefore } : {}),
		...(after && first !== undefined ? { next: { month: after.record.month, first } } : {})
	};
}

/** How many pages of a book are free after its planned months. */
export function pagesLeft(notebook: Notebook, placed: readonly PlacedMonth[]): number {
	const last = placed.flatMap(({ run }) => run.pages.at(-1)?.number ?? []).at(-1) ?? 0;
	return plannablePages(notebook).filter((page) => page.number > last).length;
}
