import type { Plan, Run } from '$lib/core/fit';
import { formatMonth } from '$lib/core/month';
import { renderPdf, type Correction } from '$lib/core/render/pdf';
import { pdfFonts } from './fonts';

/** A run's pages as a PDF answer that browsers show and name after the month. */
export async function pdfResponse(
	plan: Plan,
	run: Run,
	correction?: Correction
): Promise<Response> {
	const bytes = await renderPdf(plan, run, pdfFonts(), correction);
	return pdfAnswer(bytes, `horarium-${formatMonth(plan.month)}`);
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
