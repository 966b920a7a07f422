import { PackingCache, planOf, planRun, type Person, type Plan, type Run } from '$lib/core/fit';
import type { Cut } from '$lib/core/cuts';
import { freeAfter, plannablePages, type Notebook } from '$lib/core/paper';
import type { MonthRecord } from './months';
import type { Store } from './store';

/** A month as it stands in its book, after the months before it. */
export interface PlacedMonth {
	readonly record: MonthRecord;
	readonly plan: Plan;
	readonly run: Run;
}

const cache = new PackingCache();
const runs = new Map<string, Run>();
const mostRuns = 40;

/** The run of a plan; the last ones are kept, because a book's earlier months seldom change. */
function runOf(plan: Plan): Run {
	const name = JSON.stringify(plan);
	const run = runs.get(name) ?? planRun(plan, cache);
	runs.delete(name);
	runs.set(name, run);
	const [oldest] = runs.keys();
	if (runs.size > mostRuns && oldest !== undefined) runs.delete(oldest);
	return run;
}

/**
 * The months of a notebook in order, each planned into the pages that those before it leave. What is
 * planned for a later month never moves an earlier one.
 */
export async function monthsInBook(
	store: Store,
	notebookId: string,
	notebook: Notebook,
	person: Person
): Promise<PlacedMonth[]> {
	const placed: PlacedMonth[] = [];
	let book = notebook;
	let earlier: readonly Cut[] = [];
	for (const entry of await store.months.all()) {
		if (entry.deleted || entry.notebookId !== notebookId) continue;
		const record = await store.months.find(entry.id);
		if (!record) continue;
		const kept = planOf(record, book, person);
		const plan = earlier.length > 0 ? { ...kept, earlierCuts: earlier } : kept;
		const run = runOf(plan);
		placed.push({ record, plan, run });
		earlier = [...earlier, ...(record.cuts ?? [])];
		const last = run.pages.at(-1);
		if (last) book = freeAfter(book, last.number);
	}
	return placed;
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
	return placed.find((month) => month.record.id === id);
}

/** How many pages of a book are free after its planned months. */
export function pagesLeft(notebook: Notebook, placed: readonly PlacedMonth[]): number {
	const last = placed.flatMap(({ run }) => run.pages.at(-1)?.number ?? []).at(-1) ?? 0;
	return plannablePages(notebook).filter((page) => page.number > last).length;
}
