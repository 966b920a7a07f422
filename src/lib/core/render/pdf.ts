import * as fontkit from 'fontkit';
import PDFDocument from 'pdfkit';
import type { Mark, TextMark, Tone } from '../draw';
import { pageMarks, type Plan, type Run } from '../fit';
import { marginMm, type Page } from '../paper';
import { setText } from './lettering-size';
import { collectPdf, pointsPerMm } from './pdf-file';

/** Font files by what is written with them; the first that has a letter writes it. */
export interface PdfFonts {
	readonly hand: readonly Uint8Array[];
	readonly lettering: readonly Uint8Array[];
}

const ink = '#1d2a3a';
const dotInk = '#9a9a94';
const tones: Record<Tone, string> = {
	rest: '#ece7da',
	art: '#f4f1e8',
	line: '#f3f0e6',
	bar: '#c9d8d4',
	slack: '#e8efec',
	'level-1': '#f3e3a8',
	'level-2': '#bcd7b4',
	'level-3': '#b5cfe0',
	'level-4': '#c5bcdc',
	'level-5': '#e3b9b0',
	'level-6': '#cfc6b4'
};
const lineMm = 0.3;
const dotMm = 0.35;

interface Face {
	readonly name: string;
	readonly covers: (codePoint: number) => boolean;
}

/** Factors by which the file is larger than the paper, so that a printer that shrinks prints true. */
export interface Correction {
	readonly x: number;
	readonly y: number;
}

/**
 * The run as a PDF at true size: one page of the notebook a PDF page, fonts embedded, dots and strokes
 * where the notebook has them. Lengths in the file are points; 1 mm = 72/25.4 points.
 */
export async function renderPdf(
	plan: Plan,
	run: Run,
	fonts: PdfFonts,
	correction: Correction = { x: 1, y: 1 },
	drawn: Drawn = 'everything'
): Promise<Uint8Array> {
	const { width, height } = plan.notebook.pageMm;
	const size: [number, number] = [
		width * pointsPerMm * correction.x,
		height * pointsPerMm * correction.y
	];
	const document = new PDFDocument({
		autoFirstPage: false,
		size,
		margin: 0,
		info: { Title: plan.notebook.name, Creator: 'Horarium', CreationDate: new Date(0) }
	});
	const finished = collectPdf(document);
	const faces = registerFaces(document, fonts);
	for (const page of run.pages) {
		document.addPage({ size, margin: 0 });
		document.scale(correction.x, correction.y);
		drawPage(document, plan, run, page, faces, drawn);
	}
	// A PDF without a page is not a PDF; an empty run prints as an empty dotted page.
	if (run.pages.length === 0) document.addPage({ size, margin: 0 });
	document.end();
	return finished;
}

/** Typefaces of a document by what is written with them. */
export type Faces = Readonly<Record<'hand' | 'lettering', readonly Face[]>>;

/** Makes the fonts known to a document. */
export function registerFaces(document: PDFKit.PDFDocument, fonts: PdfFonts): Faces {
	return {
		hand: register(document, 'hand', fonts.hand),
		lettering: register(document, 'lettering', fonts.lettering)
	};
}

function register(
	document: PDFKit.PDFDocument,
	style: string,
	files: readonly Uint8Array[]
): Face[] {
	return files.flatMap((file, index): Face[] => {
		const buffer = Buffer.from(file);
		const font = fontkit.create(buffer);
		if (!('hasGlyphForCodePoint' in font)) return [];
		const name = `${style}-${index}`;
		document.registerFont(name, buffer);
		return [{ name, covers: (codePoint) => font.hasGlyphForCodePoint(codePoint) }];
	});
}

/** What of a page is drawn: everything, or only its lines, to be traced. */
export type Drawn = 'everything' | 'lines';

/** Draws a page with its upper left paper corner at the document's origin, in points. */
export function drawPage(
	document: PDFKit.PDFDocument,
	plan: Plan,
	run: Run,
	page: Page,
	faces: Faces,
	drawn: Drawn = 'everything'
): void {
	const pitch = plan.notebook.pitchMm * pointsPerMm;
	const margin = marginMm(plan.notebook, page.side);
	const at = (x: number, y: number): [number, number] => [
		margin.x * pointsPerMm + x * pitch,
		margin.y * pointsPerMm + y * pitch
	];
	const marks = pageMarks(plan, run, page.number);
	if (drawn === 'lines') return drawStrokes(document, marks, at);
	for (const mark of marks)
		if (mark.kind === 'tint')
			document.rect(...at(mark.x, mark.y), mark.w * pitch, mark.h * pitch).fill(tones[mark.tone]);
	drawDots(document, page, at);
	drawStrokes(document, marks, at);
	document.fillColor(ink);
	for (const mark of marks)
		if (mark.kind === 'text')
			drawText(
				document,
				plan,
				mark,
				at,
				pitch,
				faces[mark.style === 'lettering' ? 'lettering' : 'hand']
			);
}

type Place = (x: number, y: number) => [number, number];

/** A stroke of no length with round ends is a dot, and far smaller than a circle in the file. */
function drawDots(document: PDFKit.PDFDocument, page: Page, at: Place) {
	document
		.lineCap('round')
		.lineWidth(dotMm * pointsPerMm)
		.strokeColor(dotInk);
	for (let y = 0; y <= page.rows; y++)
		for (let x = 0; x <= page.columns; x++) document.moveTo(...at(x, y)).lineTo(...at(x, y));
	document.stroke();
}

function drawStrokes(document: PDFKit.PDFDocument, marks: readonly Mark[], at: Place): void {
	document
		.lineCap('butt')
		.lineWidth(lineMm * pointsPerMm)
		.strokeColor(ink);
	let any = false;
	for (const mark of marks) {
		if (mark.kind === 'line') {
			document.moveTo(...at(mark.x1, mark.y1)).lineTo(...at(mark.x2, mark.y2));
			any = true;
		} else if (mark.kind === 'shape' && mark.points[0]) {
			document.moveTo(...at(mark.points[0].x, mark.points[0].y));
			for (const point of mark.points.slice(1)) document.lineTo(...at(point.x, point.y));
			document.closePath();
			any = true;
		}
	}
	if (any) document.stroke();
}

function drawText(
	document: PDFKit.PDFDocument,
	plan: Plan,
	mark: TextMark,
	at: Place,
	pitch: number,
	faces: readonly Face[]
) {
	const set = setText(mark, plan.hand);
	const size = set.size * pitch;
	const parts = split(mark.text, faces);
	const width = parts.reduce(
		(sum, part) => sum + document.font(part.face, size).widthOfString(part.text),
		0
	);
	document.save();
	document.translate(...at(set.x, set.baseline));
	if (mark.turned) document.rotate(-90);
	let x = mark.align === 'center' ? -width / 2 : 0;
	for (const part of parts) {
		document
			.font(part.face, size)
			.text(part.text, x, 0, { lineBreak: false, baseline: 'alphabetic' });
		x += document.widthOfString(part.text);
	}
	document.restore();
}

/** Cuts a text where the face changes; a letter that no face has is written with the first. */
function split(text: string, faces: readonly Face[]): { face: string; text: string }[] {
	const parts: { face: string; text: string }[] = [];
	for (const letter of text) {
		const codePoint = letter.codePointAt(0) ?? 0;
		const face = (faces.find((face) => face.covers(codePoint)) ?? faces[0])?.name;
		if (face === undefined) continue;
		const last = parts.at(-1);
		if (last?.face === face) last.text += letter;
		else parts.push({ face, text: letter });
	}
	return parts;
}
