import PDFDocument from 'pdfkit';
import type { Plan, Run } from '../fit';
import { spreadOf, type Page } from '../paper';
import { drawPage, registerFaces, type Correction, type Drawn, type PdfFonts } from './pdf';
import { collectPdf, pointsPerMm } from './pdf-file';
import { sheetsMm, type SheetName } from './sheets';

/** A crop mark stands this far from the page's corner, and is this long (common practice). */
const markGapMm = 2;
const markMm = 5;

/** Where the pages of a spread lie on a sheet that is laid across, in mm from its upper left corner. */
export interface SheetPlaces {
	readonly width: number;
	readonly height: number;
	readonly left: { readonly x: number; readonly y: number };
	readonly right: { readonly x: number; readonly y: number };
}

/** Two pages side by side in the middle of a sheet laid across; undefined where they are too large for it. */
export function placesOn(
	sheet: SheetName,
	page: Plan['notebook']['pageMm']
): SheetPlaces | undefined {
	const width = sheetsMm[sheet].height;
	const height = sheetsMm[sheet].width;
	const x = (width - 2 * page.width) / 2;
	const y = (height - page.height) / 2;
	if (x < 0 || y < 0) return undefined;
	return { width, height, left: { x, y }, right: { x: x + page.width, y } };
}

/**
 * The run at true size, two pages on a sheet with crop marks: each spread as it lies open in the book.
 * Throws a RangeError when two pages are larger than the sheet.
 */
export async function renderSheets(
	plan: Plan,
	run: Run,
	fonts: PdfFonts,
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
	const faces = registerFaces(document, fonts);
	const spreads = new Map<number, Page[]>();
	for (const page of run.pages) {
		const { left } = spreadOf(page.number);
		spreads.set(left, [...(spreads.get(left) ?? []), page]);
	}
	for (const pages of spreads.size > 0 ? spreads.values() : [[]]) {
		document.addPage({ size, margin: 0 });
		document.scale(along.x, along.y);
		for (const page of pages) {
			const at = places[page.side];
			document.save();
			document.translate(at.x * pointsPerMm, at.y * pointsPerMm);
			drawPage(document, plan, run, page, faces, drawn);
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
	const point = (mm: number) => mm * pointsPerMm;
	const line = (x1: number, y1: number, x2: number, y2: number) =>
		document.moveTo(point(x1), point(y1)).lineTo(point(x2), point(y2));
	document.lineWidth(point(0.1)).strokeColor('#000000');
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
