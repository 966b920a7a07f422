import type { KeptRecords } from '$lib/core/records';
import type { PageServerLoad } from './$types';

/** What was kept of the month, and of all months of its year. */
export const load: PageServerLoad = async ({ locals, params }) => {
	const { months, records } = locals.store;
	const all = (await months.all()).filter(({ deleted }) => !deleted);
	const year = all.find(({ id }) => id === params.id)?.month.slice(0, 4) ?? '';
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
	return { entries: await records.ofMonth(params.id), year, months: kept.flat() };
};
