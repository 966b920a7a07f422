import { monthChanges, type KeptMonth } from '$lib/core/fit';
import type { PageServerLoad } from './$types';

/** What the month was, the newest first, each with what came after it; and all of the one that is looked at. */
export const load: PageServerLoad = async ({ params, locals, url, depends, parent }) => {
	depends('horarium:month');
	const { desk } = await parent();
	const pasts = await locals.store.pasts.of(params.id);
	const afters: KeptMonth[] = [desk.month, ...pasts.map(({ month }) => month)];
	const looked = Number(url.searchParams.get('at'));
	return {
		pasts: pasts.map(({ revision, leftAt, month }, index) => {
			const { added, removed, changed, ...rest } = monthChanges(month, afters[index] ?? month);
			return { revision, leftAt, wishes: month.wishes.length, added, removed, changed, ...rest };
		}),
		looked: pasts.find(({ revision }) => revision === looked)
	};
};
