import { addMonths, formatMonth, parseMonth } from '$lib/core/month';
import type { KeptRecords } from '$lib/core/records';
import { freeAfter } from '$lib/core/paper';
import { placedMonth, placedMonths } from '$lib/server/shelf/shelf';
import type { PageServerLoad } from './$types';

/** So many months before the one that is looked back on say what the next one should hold. */
const monthsBefore = 2;

/** What was kept of the month, of those before it and of all of its year, and the month that comes next. */
export const load: PageServerLoad = async ({ locals, params, depends }) => {
	depends('horarium:month');
	const { store, person } = locals;
	const { months, records } = store;
	const all = (await months.all()).filter(({ deleted }) => !deleted);
	const own = all.find(({ id }) => id === params.id)?.month ?? '';
	const year = own.slice(0, 4);
	const ofYear = all.filter(({ month }) => month.startsWith(year));
	const kept = await Promise.all(
		ofYear.map(async ({ id }): Promise<KeptRecords[]> => {
			// One that cannot be read is told elsewhere, and does not hide the others.
			const record = await months.find(id).catch(() => undefined);
			if (!record) return [];
			const { month, weekStart, wishes, drawn } = record;
			const entries = await records.ofMonth(id);
			return [{ month, weekStart, wishes, entries, pages: drawn?.pages.length ?? 0 }];
		})
	);
	const before = all
		.filter(({ month }) => month < own)
		.slice(-monthsBefore)
		.reverse();
	const lately = await Promise.all(
		before.map(async ({ id }) => {
			const placed = await placedMonth(store, id, person).catch(() => undefined);
			if (!placed) return [];
			const { plan, run } = placed;
			return [{ plan, run, entries: await records.ofMonth(id) }];
		})
	);
	const parsed = parseMonth(own);
	const after = parsed && formatMonth(addMonths(parsed, 1));
	const following = all.find(({ month }) => month === after);
	const next = following && (await placedMonth(store, following.id, person).catch(() => undefined));
	const books = (await store.notebooks.all()).filter(({ deleted }) => !deleted);
	/** What is free in each of them. */
	const free = await Promise.all(
		books.map(async ({ id, notebook }) => {
			let last = 0;
			for await (const { run } of placedMonths(store, id, notebook, person))
				last = run.pages.at(-1)?.number ?? last;
			return { id, notebook: last > 0 ? freeAfter(notebook, last) : notebook };
		})
	);
	return {
		books: free,
		entries: await records.ofMonth(params.id),
		photographs: await store.photographs.ofMonths([params.id]),
		year,
		months: kept.flat(),
		lately: lately.flat(),
		yearly: await store.person.yearly(),
		next: next && { record: next.record, plan: next.plan }
	};
};
