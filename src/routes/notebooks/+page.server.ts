import { forecast } from '$lib/core/paper';
import { formatMonth, parseMonth } from '$lib/core/month';
import type { NotebookRecord } from '$lib/server/stores/notebooks';
import { monthsInBook, pagesLeft } from '$lib/server/shelf/shelf';
import type { PageServerLoad } from './$types';

/** The books at once; what stands in each as soon as its months are worked out, one book after another. */
export const load: PageServerLoad = async ({ locals, depends }) => {
	depends('horarium:notebooks');
	const { store, person } = locals;
	const all = await store.notebooks.all();
	const open = all.filter((record) => !record.deleted);
	let before: Promise<unknown> = Promise.resolve();
	const bookOf = (record: NotebookRecord) => {
		const { id, notebook } = record;
		const held = before.then(async () => {
			const placed = await monthsInBook(store, id, notebook, person);
			const left = pagesLeft(notebook, placed);
			const latest = placed.at(-1);
			const month = latest && parseMonth(latest.record.month);
			const used = placed.map(({ run }) => run.pagesUsed);
			const fullIn = month && forecast(used, left, month)?.fullIn;
			return {
				left,
				fullIn: fullIn && formatMonth(fullIn),
				months: placed.map(({ record, run }) => ({
					id: record.id,
					month: record.month,
					pages: run.pages.map(({ number }) => number),
					drawn: record.drawn?.pages ?? []
				}))
			};
		});
		// A book that cannot be worked out is shown without its months; its own page says why.
		const told = held.catch(() => undefined);
		before = told;
		return { id, notebook, held: told };
	};
	return { notebooks: open.map(bookOf), deleted: all.filter((record) => record.deleted) };
};
