import type { Plan, Run } from '../../fit';
import type { Colour } from '../../theme';
import type { Faces } from '../fonts/faces';
import {
	blankArt,
	cutDashMm,
	cutPenMm,
	inkOf,
	inks,
	pageArt,
	type ArtText,
	type Drawn,
	type PageArt
} from '../pages/page-art';
import { DotGrids } from './pdf-dots';
import { collectPdf, openPdf, pointsPerMm } from './pdf-file';
import { mirrored, setRuns } from '../fonts/set-runs';

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
	faces: Faces,
	correction: Correction = { x: 1, y: 1 },
	drawn: Drawn = 'everything'
): Promise<Uint8Array> {
	const { pageMm, name } = plan.notebook;
	// A PDF without a page is not a PDF; an empty run prints as an empty page.
	const empty = { ...blankArt, ...pageMm };
	const arts = run.pages.map((page) => pageArt(plan, run, page, drawn));
	return renderArts(arts.length > 0 ? arts : [empty], name, faces, correction);
}

/** Drawn sheets as a PDF at true size, one a page. */
export async function renderArts(
	arts: readonly PageArt[],
	title: string,
	faces: Faces,
	correction: Correction = { x: 1, y: 1 }
): Promise<Uint8Array> {
	const document = openPdf(title);
	const finished = collectPdf(document);
	const drawPage = pageDrawer(document, faces);
	for (const art of arts) {
		const size: [number, number] = [
			art.width * pointsPerMm * correction.x,
			art.height * pointsPerMm * correction.y
		];
		document.addPage({ size, margin: 0 });
		document.scale(correction.x * pointsPerMm, correction.y * pointsPerMm);
		drawPage(art);
	}
	document.end();
	return finished;
}

/** What draws pages into a document, each with its upper left paper corner at the document's origin, which counts in mm. */
export function pageDrawer(document: PDFKit.PDFDocument, faces: Faces): (art: PageArt) => void {
	for (const { name, program } of [...faces.hand, ...faces.lettering])
		document.registerFont(name, program);
	const grids = new DotGrids(document);
	return (art) => {
		drawTints(document, art);
		grids.draw(art.dots);
		drawStrokes(document, art);
		drawCuts(document, art);
		drawTexts(document, art, faces);
	};
}

function drawTints(document: PDFKit.PDFDocument, art: PageArt): void {
	for (const { x, y, w, h, tone } of art.tints)
		document.rect(x, y, w, h).fill(art.palette.tones[tone]);
}

function drawTexts(document: PDFKit.PDFDocument, art: PageArt, faces: Faces): void {
	let ink: Colour | undefined;
	for (const text of art.texts) {
		const wanted = inkOf(text, art.palette);
		// Said once for many texts: a month has thousands.
		if (wanted !== ink) document.fillColor(wanted);
		ink = wanted;
		drawText(document, text, faces);
	}
}

function drawStrokes(document: PDFKit.PDFDocument, { strokes, pen, palette }: PageArt): void {
	if (strokes.length === 0) return;
	document.lineCap('butt').lineWidth(pen).strokeColor(palette.lines);
	for (const { points, closed } of strokes) {
		points.forEach(({ x, y }, index) =>
			index === 0 ? document.moveTo(x, y) : document.lineTo(x, y)
		);
		if (closed) document.closePath();
	}
	document.stroke();
}

function drawCuts(document: PDFKit.PDFDocument, { cuts }: PageArt): void {
	if (cuts.length === 0) return;
	document.save();
	document.lineCap('butt').lineWidth(cutPenMm).strokeColor(inks.cut).dash(cutDashMm, {});
	for (const { from, to } of cuts) document.moveTo(from.x, from.y).lineTo(to.x, to.y);
	document.stroke();
	document.restore();
}

const lineFromLeft = { lineBreak: false, baseline: 'alphabetic' } as const;
/** Without a list of features the words of a line are set one by one, from left to right. */
const lineFromRight = { ...lineFromLeft, features: [] };

function drawText(document: PDFKit.PDFDocument, text: ArtText, faces: Faces): void {
	const { mark, x, y, size } = text;
	const turned = mark.turned === true;
	if (turned) document.save().translate(x, y).rotate(-90);
	const [left, baseline] = turned ? [0, 0] : [x, y];
	for (const { face, text: words, along, fromRight } of setRuns(text, faces))
		document
			.font(face.name, size)
			.text(
				mirrored(words, fromRight),
				left + along,
				baseline,
				fromRight ? lineFromRight : lineFromLeft
			);
	if (turned) document.restore();
}
