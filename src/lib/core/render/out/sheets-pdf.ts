import { frontOf } from '../../cuts';
import type { Plan, Run } from '../../fit';
import { spreadOf, type Page } from '../../paper';
import type { Faces } from '../fonts/faces';
import { pageArt, type Drawn } from '../pages/page-art';
import { pageDrawer, type Correction } from './pdf';
import { collectPdf, openPdf, pointsPerMm } from './pdf-file';
import { placesOn, type SheetPlaces } from '../pages/sheet-places';
import type { SheetName } from '../pages/sheets';

/** A crop mark stands this far from the page's corner, and is this long (common practice). */
const markGapMm = 2;
const markMm = 5;

/** How pages are printed on sheets. */
export interface SheetSetting {
	readonly drawn?: Drawn;
	readonly order?: SheetOrder;
	readonly correction?: Correction;
}

/** Which pages share a sheet: those of a spread, or two leaves, the backs of which are on the sheet's back. */
export type SheetOrder = 'spreads' | 'leaves';

/** What lies on one side of a sheet. */
type SheetSide = Readonly<Partial<Record<'left' | 'right', Page>>>;

/**
 * The run at true size, two pages on a sheet with crop marks: each spread as it lies open in the book, or leaves to be glued
 * in, front and back behind each other when the sheet is turned over its short edge.
 * Throws a RangeError when two pages are larger than the sheet.
 */
export async function renderSheets(
	plan: Plan,
	run: Run,
	faces: Faces,
	sheet: SheetName,
	{ drawn = 'everything', order = 'spreads', correction = { x: 1, y: 1 } }: SheetSetting = {}
): Promise<Uint8Array> {
	const { pageMm, name } = plan.notebook;
	const places = placesOn(sheet, pageMm);
	if (!places)
		throw new RangeError(`two pages of ${pageMm.width} × ${pageMm.height} mm are too large`);
	// The sheet is laid across, so what the printer does down the sheet is done across the spread.
	const along = { x: correction.y, y: correction.x };
	const size: [number, number] = [
		places.width * pointsPerMm * along.x,
		places.height * pointsPerMm * along.y
	];
	const document = openPdf(name);
	const finished = collectPdf(document);
	const drawPage = pageDrawer(document, faces);
	const sides = order === 'leaves' ? leavesOn(run.pages) : spreadsOn(run.pages);
	for (const side of sides.length > 0 ? sides : [{}]) {
		document.addPage({ size, margin: 0 });
		document.scale(along.x * pointsPerMm, along.y * pointsPerMm);
		for (const place of ['left', 'right'] as const) {
			const page = side[place];
			if (!page) continue;
			document.save();
			document.translate(places[place].x, places[place].y);
			drawPage(pageArt(plan, run, page, drawn));
			document.restore();
		}
		drawCropMarks(document, places, pageMm);
	}
	document.end();
	return finished;
}

function spreadsOn(pages: readonly Page[]): SheetSide[] {
	const spreads = new Map<number, SheetSide>();
	for (const page of pages) {
		const { left } = spreadOf(page.number);
		spreads.set(left, { ...spreads.get(left), [page.side]: page });
	}
	return [...spreads.values()];
}

/** Two leaves a sheet: what is left on its front is right on its back. */
export function leavesOn(pages: readonly Page[]): SheetSide[] {
	const leaves = new Map<number, { front?: Page; back?: Page }>();
	for (const page of pages) {
		const front = frontOf(page.number);
		leaves.set(front, {
			...leaves.get(front),
			[page.number === front ? 'front' : 'back']: page
		});
	}
	const all = [...leaves.values()];
	return all.flatMap((leaf, index): SheetSide[] => {
		if (index % 2 === 1) return [];
		const beside = all[index + 1];
		return [
			{ left: leaf.front, right: beside?.front },
			{ left: beside?.back, right: leaf.back }
		];
	});
}

function drawCropMarks(
	document: PDFKit.PDFDocument,
	{ left, right }: SheetPlaces,
	page: { readonly width: number; readonly height: number }
): void {
	const line = (x1: number, y1: number, x2: number, y2: number) =>
		document.moveTo(x1, y1).lineTo(x2, y2);
	document.lineWidth(0.1).strokeColor('#000000');
	const [top, bottom] = [left.y, left.y + page.height];
	for (const x of [left.x, right.x, right.x + page.width]) {
		line(x, top - markGapMm - markMm, x, top - markGapMm);
		line(x, bottom + markGapMm, x, bottom + markGapMm + markMm);
	}
	for (const y of [top, bottom]) {
		line(left.x - markGapMm - markMm, y, left.x - markGapMm, y);
		line(right.x + page.width + markGapMm, y, right.x + page.width + markGapMm + markMm, y);
	}
	document.stroke();
}
