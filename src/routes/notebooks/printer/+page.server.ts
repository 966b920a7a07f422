import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	printers: await locals.store.person.printers(),
	pitches: [
		...new Set(
			(await locals.store.notebooks.all())
				.filter((record) => !record.deleted)
				.map(({ notebook }) => notebook.pitchMm)
		)
	]
});
