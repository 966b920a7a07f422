import type { Plan, Run } from '$lib/core/fit';
import { formatMonth } from '$lib/core/month';
import { renderPdf, type Correction } from '$lib/core/render/pdf';
import { placesOn, renderSheets } from '$lib/core/render/sheets-pdf';
import { pdfFonts } from './fonts';
import { faulty } from './problem';

/**
 * A run's pages as a PDF answer that browsers show and name after the month. `?sheet=a4` or `letter` puts two
 * of them on a sheet, with crop marks; `?page=` prints one page; `?only=lines` leaves nothing but lines, to be traced.
 */
export async function pdfResponse(
	plan: Plan,
	run: Run,
	query: URLSearchParams,
	correction?: Correction
): Promise<Response> {
	const name = `horarium-${formatMonth(plan.month)}`;
	const only = query.get('only');
	const sheet = query.get('sheet');
	if (only !== null && only !== 'lines')
		return faulty([{ path: 'only', message: `must be lines; it is “${only}”` }]);
	const drawn = only ?? 'everything';
	const number = query.get('page');
	const pages = run.pages.filter((page) => number === null || String(page.number) === number);
	if (number !== null && pages.length === 0)
		return faulty([{ path: 'page', message: noSuchPage(run, number) }]);
	const part = { ...run, pages };
	if (sheet === null)
		return pdfAnswer(await renderPdf(plan, part, pdfFonts(), correction, drawn), name);
	if (sheet !== 'a4' && sheet !== 'letter')
		return faulty([{ path: 'sheet', message: `must be a4 or letter; it is “${sheet}”` }]);
	if (!placesOn(sheet, plan.notebook.pageMm)) {
		const { width, height } = plan.notebook.pageMm;
		const message = `is too small for two pages of ${width} × ${height} mm: print them one by one`;
		return faulty([{ path: 'sheet', message }]);
	}
	return pdfAnswer(await renderSheets(plan, part, pdfFonts(), sheet, drawn, correction), name);
}

/** What to say of a page that the run does not have. */
export function noSuchPage({ pages }: Run, number: string): string {
	const [first, last] = [pages[0]?.number, pages.at(-1)?.number];
	const have =
		first === undefined ? 'the run has no page' : `the run has pages ${first} to ${last}`;
	return `${have}; “${number}” is none of them`;
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
