import { renderCheckSheet } from '$lib/core/render/out/check-sheet';
import { refusedQuery } from '$lib/server/shelf/app-request';
import { checkSheetFont } from '$lib/server/answer/fonts';
import { pdfAnswer } from '$lib/server/answer/pdf-response';
import { faulty } from '$lib/server/answer/problem';
import type { RequestHandler } from './$types';

const leastPitch = 1;
const mostPitch = 50;

/** The printer check sheet, on A4 or with `?paper=letter` on US Letter; `?pitch=` in mm. */
export const GET: RequestHandler = async ({ url }) => {
	const refused = refusedQuery(url, { paper: ['a4', 'letter'], pitch: 'any' });
	if (refused) return refused;
	const query = url.searchParams;
	const pitch = Number(query.get('pitch') ?? 5);
	if (!(pitch >= leastPitch && pitch <= mostPitch)) {
		const message = `must be a number from ${leastPitch} to ${mostPitch} mm; it is “${query.get('pitch')}”`;
		return faulty([{ path: 'pitch', message }]);
	}
	const sheet = query.get('paper') === 'letter' ? 'letter' : 'a4';
	return pdfAnswer(
		await renderCheckSheet(sheet, pitch, checkSheetFont()),
		'horarium-printer-check'
	);
};
