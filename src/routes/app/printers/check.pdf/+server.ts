import { renderCheckSheet } from '$lib/core/render/check-sheet';
import { checkSheetFont } from '$lib/server/fonts';
import { pdfAnswer } from '$lib/server/pdf-response';
import type { RequestHandler } from './$types';

/** The printer check sheet, on A4 or with `?paper=letter` on US Letter; `?pitch=` in mm. */
export const GET: RequestHandler = async ({ url }) => {
	const sheet = url.searchParams.get('paper') === 'letter' ? 'letter' : 'a4';
	const asked = Number(url.searchParams.get('pitch') ?? 5);
	const pitch = asked >= 1 && asked <= 50 ? asked : 5;
	return pdfAnswer(
		await renderCheckSheet(sheet, pitch, checkSheetFont()),
		'horarium-printer-check'
	);
};
