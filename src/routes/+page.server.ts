import { redirect } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** Opens the next month to plan: the latest one planned, or the start where there is none. */
export const load: PageServerLoad = async ({ locals }) => {
	const months = (await locals.store.months.all()).filter((month) => !month.deleted);
	const latest = months.at(-1);
	redirect(307, latest ? `/months/${latest.id}` : '/welcome');
};
