import PDFDocument from 'pdfkit';
import type { Plan, Run } from '../fit';
import { spreadOf, type Page } from '../paper';
import type { Faces } from './faces';
import { pageArt, type Drawn } from './page-art';
import { drawPage, registerFaces, type Correction } from './pdf';
import { collectPdf, pointsPerMm } from './pdf-file';
import { placesOn, type SheetPlaces } from './sheet-places';
import type { SheetName } from './sheets';

/** A crop mark stands this far from the page's corner, and is this long (common practice). */
const markGapMm = 2;
const markMm = 5;

/**
 * The run at true size, two pages on a sheet with crop marks: each spread as it lies open in the book.
 * Throws a RangeError when two pages are larger than the sheet.
 */
export async function renderSheets(
	plan: Plan,
	run: Run,
	faces: Faces,
	sheet: SheetName,
	drawn: Drawn = 'everything',
	correction: Correction = { x: 1, y: 1 }
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
	const document = new PDFDocument({
		autoFirstPage: false,
		margin: 0,
		info: { Title: name, Creator: 'Horarium', CreationDate: new Date(0) }
	});
	const finished = collectPdf(document);
	registerFaces(document, faces);
	const spreads = new Map<number, Page[]>();
	for (const page of run.pages) {
		const { left } = spreadOf(page.number);
		spreads.set(left, [...(spreads.get(left) ?? []), page]);
	}
	for (const pages of spreads.size > 0 ? spreads.values() : [[]]) {
		document.addPage({ size, margin: 0 });
		document.scale(along.x * pointsPerMm, along.y * pointsPerMm);
		for (const page of pages) {
			const at = places[page.side];
			document.save();
			document.translate(at.x, at.y);
			drawPage(document, pageArt(plan, run, page, drawn), faces);
			document.restore();
		}
		drawCropMarks(document, places, pageMm);
	}
	document.end();
	return finished;
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
