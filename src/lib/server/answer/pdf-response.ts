import type { Plan, Run } from '$lib/core/fit';
import { formatMonth } from '$lib/core/month';
import { renderPdf, type Correction } from '$lib/core/render/out/pdf';
import { listedPages } from '$lib/core/render/pages/page-list';
import { placesOn } from '$lib/core/render/pages/sheet-places';
import { renderSheets } from '$lib/core/render/out/sheets-pdf';
import { faces, type FontFile } from './fonts';
import { drawnOf, onlyFault } from './page-response';
import { faulty, tooMuch } from './problem';

/** So many pages are drawn at once: the largest books have fewer. */
const mostDrawn = 600;

/**
 * A run's pages as a PDF answer that browsers show and name after the month. `?sheet=a4` or `letter` puts two
 * of them on a sheet, with crop marks, as they lie open in the book or, with `?order=leaves`, front and back of a leaf
 * behind each other; `?page=` prints some pages, such as 64-67,70; `?only=lines` leaves nothing but lines, to be
 * traced, and `?only=stencil` slots to be cut out.
 */
export async function pdfResponse(
	plan: Plan,
	run: Run,
	query: URLSearchParams,
	fonts: readonly FontFile[],
	correction?: Correction
): Promise<Response> {
	const drawn = drawnOf(query);
	const sheet = query.get('sheet');
	if (drawn === undefined) return onlyFault(query);
	const page = query.get('page') ?? '';
	const listed = listedPages(page, run.pages);
	if (!listed.ok) return faulty([{ path: 'page', message: listed.message }]);
	if (listed.pages.length > mostDrawn)
		return tooMuch({
			path: 'page',
			message: `must name at most ${mostDrawn} pages for one PDF; these are ${listed.pages.length}`
		});
	const part = { ...run, pages: listed.pages };
	const order = query.get('order') === 'leaves' ? 'leaves' : 'spreads';
	const laid = sheet === null ? '' : order === 'leaves' ? `leaves-on-${sheet}` : `two-on-${sheet}`;
	const name = fileName(plan, page, drawn === 'everything' ? '' : drawn, laid);
	if (sheet === null)
		return pdfAnswer(await renderPdf(plan, part, faces(fonts), correction, drawn), name);
	if (sheet !== 'a4' && sheet !== 'letter')
		return faulty([{ path: 'sheet', message: `must be a4 or letter; it is “${sheet}”` }]);
	if (!placesOn(sheet, plan.notebook.pageMm)) {
		const { width, height } = plan.notebook.pageMm;
		const message = `is too small for two pages of ${width} × ${height} mm: print them one by one`;
		return faulty([{ path: 'sheet', message }]);
	}
	const bytes = await renderSheets(plan, part, faces(fonts), sheet, { drawn, order, correction });
	return pdfAnswer(bytes, name);
}

/** What a file is called: the month, its pages where they are not all, and what of them. */
export function fileName(plan: Plan, pages: string, ...what: readonly string[]): string {
	const only = pages
		.replace(/[^\d,–-]/g, '')
		.replaceAll('–', '-')
		.replaceAll(',', '+');
	const parts = ['horarium', formatMonth(plan.month), only && `page-${only}`, ...what];
	return parts.filter(Boolean).join('-');
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
