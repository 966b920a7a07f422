import type { Plan, Run } from '$lib/core/fit';
import { formatMonth } from '$lib/core/month';
import { renderPdf, type Correction } from '$lib/core/render/pdf';
import { placesOn } from '$lib/core/render/sheet-places';
import { renderSheets } from '$lib/core/render/sheets-pdf';
import { faces, type FontFile } from './fonts';
import { drawnOf, noSuchPage, onlyFault } from './page-response';
import { faulty } from './problem';

/**
 * A run's pages as a PDF answer that browsers show and name after the month. `?sheet=a4` or `letter` puts two
 * of them on a sheet, with crop marks; `?page=` prints one page; `?only=lines` leaves nothing but lines, to be
 * traced, and `?only=stencil` slots to be cut out.
 */
export async function pdfResponse(
	plan: Plan,
	run: Run,
	query: URLSearchParams,
	fonts: readonly FontFile[],
	correction?: Correction
): Promise<Response> {
	const name = `horarium-${formatMonth(plan.month)}`;
	const drawn = drawnOf(query);
	const sheet = query.get('sheet');
	if (drawn === undefined) return onlyFault(query);
	const number = query.get('page');
	const pages = run.pages.filter((page) => number === null || String(page.number) === number);
	if (number !== null && pages.length === 0)
		return faulty([{ path: 'page', message: noSuchPage(run, number) }]);
	const part = { ...run, pages };
	if (sheet === null)
		return pdfAnswer(await renderPdf(plan, part, faces(fonts), correction, drawn), name);
	if (sheet !== 'a4' && sheet !== 'letter')
		return faulty([{ path: 'sheet', message: `must be a4 or letter; it is “${sheet}”` }]);
	if (!placesOn(sheet, plan.notebook.pageMm)) {
		const { width, height } = plan.notebook.pageMm;
		const message = `is too small for two pages of ${width} × ${height} mm: print them one by one`;
		return faulty([{ path: 'sheet', message }]);
	}
	return pdfAnswer(await renderSheets(plan, part, faces(fonts), sheet, drawn, correction), name);
}

/** A PDF that browsers show, and save under a name. */
export function pdfAnswer(bytes: Uint8Array, name: string): Response {
	return new Response(new Blob([new Uint8Array(bytes)]), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="${name}.pdf"`,
			'cache-control': 'no-store'
		}
	});
}
