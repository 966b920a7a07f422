import type { Plan, Run } from '$lib/core/fit';
import { formatMonth } from '$lib/core/month';
import { renderPdf } from '$lib/core/render/pdf';
import { pdfFonts } from './fonts';

/** A run's pages as a PDF answer that browsers show and name after the month. */
export async function pdfResponse(plan: Plan, run: Run): Promise<Response> {
	const bytes = await renderPdf(plan, run, pdfFonts());
	return new Response(new Blob([new Uint8Array(bytes)]), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="horarium-${formatMonth(plan.month)}.pdf"`,
			'cache-control': 'no-store'
		}
	});
}
