import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals }) => ({
	theme: locals.theme,
	locale: locals.person.locale,
	months: (await locals.store.months.all()).filter((month) => !month.deleted)
});
