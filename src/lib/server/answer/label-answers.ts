import type { Plan, Run } from '$lib/core/fit';
import { labelHeights, labelSets, labelsOf, type Label, type LabelSet } from '$lib/core/labels';
import { bmpOf, joined, pbmOf } from '$lib/core/labels/bitmap';
import { labelSheets, squaresOnSheet } from '$lib/core/labels/label-art';
import { dotsOf, labelPicture } from '$lib/core/labels/label-picture';
import { formatMonth } from '$lib/core/month';
import { renderArts, type Correction } from '$lib/core/render/out/pdf';
import { renderSvg } from '$lib/core/render/out/svg';
import type { SheetName } from '$lib/core/render';
import { faces, type FontFile } from './fonts';
import { drawing } from './page-response';
import { pdfAnswer } from './pdf-response';
import { faulty } from './problem';

/** What is made of labels: sheets for scissors, a piece of tape as it is shown, or one label as it is printed. */
export type LabelsAs = 'labels.pdf' | 'labels.svg' | 'tape' | 'label';

/**
 * Labels of a month: those of the sets in `?sets=`, `?high=` squares high. Sheets are `?paper=` a4 or letter, an SVG is one
 * of them, `?page=` from 1; a label is named by `?label=`, from 0.
 */
export async function labelsResponse(
	as: LabelsAs,
	plan: Plan,
	run: Run,
	query: URLSearchParams,
	fonts: readonly FontFile[],
	correction: Correction | undefined
): Promise<Response> {
	const sets = (query.get('sets') ?? '').split(',').filter(Boolean);
	const high = Number(query.get('high') ?? 1);
	const sheet: SheetName = query.get('paper') === 'letter' ? 'letter' : 'a4';
	const { least, most } = labelHeights;
	if (sets.length === 0 || !sets.every(isSet)) {
		const message = `must be some of ${labelSets.join(', ')}, with commas; it is “${query.get('sets') ?? ''}”`;
		return faulty([{ path: 'sets', message }]);
	}
	if (!Number.isInteger(high) || high < least || high > most) {
		const message = `must be a whole number from ${least} to ${most}; it is “${query.get('high')}”`;
		return faulty([{ path: 'high', message }]);
	}
	const { pitchMm } = plan.notebook;
	const longest = squaresOnSheet(sheet, pitchMm);
	const labels = sets.flatMap((set) => labelsOf(plan, run, set, high, longest));
	const name = `horarium-labels-${formatMonth(plan.month)}`;
	switch (as) {
		case 'labels.pdf': {
			const sheets = labelSheets(plan, labels, sheet);
			if (sheets.length === 0) return nothing();
			return pdfAnswer(await renderArts(sheets, 'Labels', faces(fonts), correction), name);
		}
		case 'labels.svg': {
			const sheets = labelSheets(plan, labels, sheet);
			const page = query.get('page') ?? '1';
			const art = sheets[Number(page) - 1];
			if (!art) {
				const message = `must be a sheet from 1 to ${sheets.length}; it is “${page}”`;
				return sheets.length === 0 ? nothing() : faulty([{ path: 'page', message }]);
			}
			return drawing(renderSvg(art, faces(fonts)), 'image/svg+xml', `${name}-${page}.svg`);
		}
		case 'tape': {
			if (labels.length === 0) return nothing();
			const pictures = await pictured(plan, labels, fonts);
			const tape = joined(pictures, dotsOf(high, pitchMm));
			return drawing(new Uint8Array(bmpOf(tape)), 'image/bmp', `${name}.bmp`);
		}
		case 'label': {
			const label = labels[Number(query.get('label') ?? NaN)];
			if (!label) {
				const message = `must be a label from 0 to ${labels.length - 1}; it is “${query.get('label') ?? ''}”`;
				return faulty([{ path: 'label', message }]);
			}
			const picture = await labelPicture(plan, label, faces(fonts));
			return drawing(new Uint8Array(pbmOf(picture)), 'image/x-portable-bitmap', `${name}.pbm`);
		}
	}
}

const isSet = (name: string): name is LabelSet => labelSets.some((set) => set === name);

const nothing = () =>
	faulty([{ path: 'sets', message: 'the month has nothing to put on such labels' }]);

function pictured(plan: Plan, labels: readonly Label[], fonts: readonly FontFile[]) {
	return Promise.all(labels.map((label) => labelPicture(plan, label, faces(fonts))));
}
