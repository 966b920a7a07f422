import { shippedCoverage } from '$lib/server/answer/fonts';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals }) => {
	const { fonts, months, notebooks } = locals.store;
	const names = new Map((await notebooks.all()).map(({ id, notebook }) => [id, notebook.name]));
	const [shipped, added] = [shippedCoverage(), await fonts.coverage()];
	return {
		theme: locals.theme,
		locale: locals.person.locale,
		months: (await months.all())
			.filter((month) => !month.deleted)
			.map(({ id, month, notebookId }) => ({ id, month, book: names.get(notebookId) ?? '' })),
		fonts: await fonts.all(),
		coverage: {
			hand: [...shipped.hand, ...added.hand],
			lettering: [...shipped.lettering, ...added.lettering]
		}
	};
};
