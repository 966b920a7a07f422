import { error } from '@sveltejs/kit';
import { pageGuide } from '$lib/core/guide';
import { formatMonth } from '$lib/core/month';
import { correctionFor } from '$lib/core/paper';
import { renderStrips } from '$lib/core/render/strips-pdf';
import { checkSheetFont } from '$lib/server/fonts';
import { pdfAnswer } from '$lib/server/pdf-response';
import { placedMonth } from '$lib/server/shelf';
import type { RequestHandler } from './$types';

/**
 * Tick strips of a kept month, or of its page `?page=`, on `?paper=` a4 or letter, corrected for the printer
 * in `?printer=` where one is named.
 */
export const GET: RequestHandler = async ({ params, locals, url }) => {
	const placed = await placedMonth(locals.store, params.id, locals.person);
	if (!placed) error(404, 'There is no such month.');
	const { plan, run } = placed;
	const page = url.searchParams.get('page');
	const wanted = run.pages.filter(({ number }) => page === null || String(number) === page);
	if (wanted.length === 0) error(404, `Page ${page} is not part of this month’s run.`);
	const printers = await locals.store.person.printers();
	const printer = printers.find(({ id }) => id === url.searchParams.get('printer'));
	const sheet = url.searchParams.get('paper') === 'letter' ? 'letter' : 'a4';
	const bytes = await renderStrips(
		wanted.map(({ number }) => pageGuide(plan, run, number)),
		plan.notebook.pitchMm,
		sheet,
		checkSheetFont(),
		printer && correctionFor(printer)
	);
	return pdfAnswer(bytes, `horarium-strips-${formatMonth(plan.month)}`);
};
