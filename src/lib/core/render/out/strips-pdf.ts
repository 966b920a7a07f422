import type { PageGuide, Tick } from '../../guide';
import { tickStrips } from '../../guide';
import { inks } from '../pages/page-art';
import type { Correction } from './pdf';
import { collectPdf, openPdf, pointsPerMm } from './pdf-file';
import { sheetsMm, type SheetName } from '../pages/sheets';

const marginMm = 12;
const nameMm = 7;
/** A strip deeper than this is no strip; longer rows of numbers are written smaller. */
const mostLabelMm = 60;
const tickMm = 4;
const labelMm = 2.6;
const lineMm = 0.2;

/** A strip, or the part of one that a sheet has room for. */
interface Strip {
	readonly name: string;
	/** Squares from the first dot to where this part begins and ends. */
	readonly from: number;
	readonly to: number;
	readonly ticks: readonly Tick[];
	/** Where the leaf is cut; it need not be on a dot. */
	readonly cuts: readonly number[];
}

/**
 * Tick strips of a month's pages at true size on sheets laid across: several on a sheet, named by page.
 * Each is cut along its upper edge, whose ticks are the notebook's dots. Numbers are the guide's steps: “8…”
 * where a line begins, “…8” where it ends, and “8” where it stands with both ends.
 */
export async function renderStrips(
	guides: readonly PageGuide[],
	pitchMm: number,
	sheet: SheetName,
	font: Uint8Array,
	correction: Correction = { x: 1, y: 1 }
): Promise<Uint8Array> {
	// The sheet is laid across, so what the printer does down the sheet is done along the strips.
	const along = { x: correction.y, y: correction.x };
	const width = sheetsMm[sheet].height;
	const height = sheetsMm[sheet].width;
	const size: [number, number] = [width * pointsPerMm * along.x, height * pointsPerMm * along.y];
	const document = openPdf('Tick strips');
	const finished = collectPdf(document);
	document.registerFont('text', Buffer.from(font));
	const room = Math.floor((width - 2 * marginMm) / pitchMm);
	const strips = guides.flatMap((guide) => stripsOf(guide, room));
	const turn = () => {
		document.addPage({ size, margin: 0 });
		document.scale(pointsPerMm * along.x, pointsPerMm * along.y);
	};
	turn();
	let y = marginMm;
	for (const strip of strips) {
		document.font('text', labelMm);
		const longest = Math.max(
			0,
			...strip.ticks.map((tick) => document.widthOfString(labelOf(tick)))
		);
		const depth = tickMm + Math.min(longest, mostLabelMm) + nameMm;
		if (y + depth > height - marginMm && y > marginMm) {
			turn();
			y = marginMm;
		}
		drawStrip(document, strip, pitchMm, y, depth);
		y += depth;
	}
	document.end();
	return finished;
}

function stripsOf({ page, size, steps, cutTicks }: PageGuide, room: number): Strip[] {
	const { top, side } = tickStrips(steps);
	if (top.length === 0 && cutTicks.top.length + cutTicks.side.length === 0) return [];
	return [
		...parts(`Page ${page}, along the top`, size.w, top, cutTicks.top, room),
		...parts(`Page ${page}, down the side`, size.h, side, cutTicks.side, room)
	];
}

function parts(
	name: string,
	length: number,
	ticks: readonly Tick[],
	cuts: readonly number[],
	room: number
): Strip[] {
	const count = Math.ceil(length / room);
	return Array.from({ length: count }, (_, index) => {
		const from = index * room;
		const to = Math.min(length, from + room);
		return {
			name: count > 1 ? `${name}, from dot ${from} on` : name,
			from,
			to,
			ticks: ticks.filter(({ at }) => at >= from && at <= to),
			cuts: cuts.filter((at) => at >= from && at <= to)
		};
	});
}

/** The steps whose lines stand, begin and end at a tick. */
function labelOf({ begins, ends }: Tick): string {
	const both = begins.filter((step) => ends.includes(step));
	return [
		...both.map(String),
		...begins.filter((step) => !both.includes(step)).map((step) => `${step}…`),
		...ends.filter((step) => !both.includes(step)).map((step) => `…${step}`)
	].join(' ');
}

function drawStrip(
	document: PDFKit.PDFDocument,
	strip: Strip,
	pitchMm: number,
	y: number,
	depth: number
): void {
	const { from, to, ticks, cuts, name } = strip;
	const at = (square: number) => marginMm + (square - from) * pitchMm;
	document.lineCap('butt').lineWidth(lineMm).strokeColor('#1d2a3a').fillColor('#1d2a3a');
	document.moveTo(at(from), y).lineTo(at(to), y);
	for (const tick of ticks) document.moveTo(at(tick.at), y).lineTo(at(tick.at), y + tickMm);
	document.stroke();
	// The ends of the strip are the page's corner dots.
	document.lineWidth(3 * lineMm);
	for (const end of [from, to]) document.moveTo(at(end), y).lineTo(at(end), y + tickMm / 2);
	document.stroke();
	drawCuts(document, cuts.map(at), y);
	document.font('text', labelMm);
	for (const tick of ticks) {
		const label = labelOf(tick);
		const width = document.font('text', labelMm).widthOfString(label);
		document.save();
		document.translate(at(tick.at) - labelMm / 2, y + tickMm + 0.6).rotate(90);
		document.font('text', labelMm * Math.min(1, mostLabelMm / width));
		document.text(label, 0, -labelMm, { lineBreak: false });
		document.restore();
	}
	document.font('text', 3).text(name, at(from) + 3, y + depth - 4.5, { lineBreak: false });
}

/** A cut is a longer tick in another colour, with its word beside it. */
function drawCuts(document: PDFKit.PDFDocument, places: readonly number[], y: number): void {
	if (places.length === 0) return;
	document
		.lineWidth(2 * lineMm)
		.strokeColor(inks.cut)
		.fillColor(inks.cut)
		.font('text', labelMm);
	for (const x of places) {
		document.moveTo(x, y).lineTo(x, y + 1.5 * tickMm);
		document.text('cut', x + 0.6, y + tickMm, { lineBreak: false });
	}
	document.stroke().fillColor('#1d2a3a').strokeColor('#1d2a3a').lineWidth(lineMm);
}
