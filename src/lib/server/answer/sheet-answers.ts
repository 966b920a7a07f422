import type { Plan, Run } from '$lib/core/fit';
import { pageGuide } from '$lib/core/guide';
import type { Correction } from '$lib/core/render/out/pdf';
import { listedPages } from '$lib/core/render/pages/page-list';
import { renderStrips } from '$lib/core/render/out/strips-pdf';
import { checkSheetFont, type FontFile } from './fonts';
import { labelsResponse, type LabelsAs } from './label-answers';
import { pngResponse, svgResponse } from './page-response';
import { fileName, pdfAnswer, pdfResponse } from './pdf-response';
import { faulty } from './problem';

/** Something of a kept month to be drawn on a sheet. */
export interface SheetRequest {
	readonly as: 'pdf' | 'svg' | 'png' | 'strips' | LabelsAs;
	readonly plan: Plan;
	readonly run: Run;
	/** Checked against what the address may be asked. */
	readonly query: string;
	/** The person's own. */
	readonly fonts: readonly FontFile[];
	/** For the printer it is printed with. */
	readonly correction?: Correction;
}

/** Draws a kept month's pages, or one of them. */
export async function sheet(request: SheetRequest): Promise<Response> {
	const { as, plan, run, query, fonts, correction } = request;
	const asked = new URLSearchParams(query);
	switch (as) {
		case 'pdf':
			return pdfResponse(plan, run, asked, fonts, correction);
		case 'svg':
			return svgResponse(plan, run, asked, fonts);
		case 'png':
			return pngResponse(plan, run, asked, fonts);
		case 'strips':
			return stripsResponse(plan, run, asked, correction);
		default:
			return labelsResponse(as, plan, run, asked, fonts, correction);
	}
}

/** Tick strips of a month, or of its pages `?page=`, on `?paper=` a4 or letter. */
async function stripsResponse(
	plan: Plan,
	run: Run,
	query: URLSearchParams,
	correction: Correction | undefined
): Promise<Response> {
	const page = query.get('page') ?? '';
	const listed = listedPages(page, run.pages);
	if (!listed.ok) return faulty([{ path: 'page', message: listed.message }]);
	const bytes = await renderStrips(
		listed.pages.map(({ number }) => pageGuide(plan, run, number)),
		plan.notebook.pitchMm,
		query.get('paper') === 'letter' ? 'letter' : 'a4',
		checkSheetFont(),
		correction
	);
	return pdfAnswer(bytes, fileName(plan, page, 'strips'));
}
