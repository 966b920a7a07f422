import type { Plan } from '../fit';
import type { Size } from '../paper';
import { blankArt, type PageArt } from '../render/pages/page-art';
import { sheetsMm, type SheetName } from '../render/pages/sheets';
import { placeOf, type Label } from './labels';

/** Free edge of a sheet that printers do not reach (common practice). */
export const sheetMarginMm = 10;

/** A label alone, on paper of a size in mm. */
export function labelArt(
	plan: Plan,
	label: Label,
	paper: { width: number; height: number }
): PageArt {
	return { ...blankArt, ...paper, texts: [textOf(plan, label, 0, 0)] };
}

function textOf({ notebook, hand }: Plan, label: Label, x: number, y: number) {
	const place = placeOf(label, hand);
	const { pitchMm } = notebook;
	return {
		mark: label.mark,
		x: x + place.x * pitchMm,
		y: y + place.baseline * pitchMm,
		anchor: place.anchor,
		size: place.size * pitchMm
	};
}

/** The squares across a sheet that labels have room in. */
export function squaresOnSheet(sheet: SheetName, pitchMm: number): number {
	return Math.floor((sheetsMm[sheet].width - 2 * sheetMarginMm) / pitchMm);
}

/**
 * Labels on sheets for those who have scissors: rows of one height, filled in the order given, each label beside the next so
 * that one cut parts two. Cuts are broken lines.
 */
export function labelSheets(plan: Plan, labels: readonly Label[], sheet: SheetName): PageArt[] {
	const { pitchMm } = plan.notebook;
	const { width, height } = sheetsMm[sheet];
	const across = squaresOnSheet(sheet, pitchMm);
	const down = Math.floor((height - 2 * sheetMarginMm) / pitchMm);
	const rows = rowsOf(labels, across);
	const sheets: PageArt[] = [];
	let y = 0;
	let current: PageArt = { ...blankArt, width, height };
	for (const row of rows) {
		if (y + row.h > down) {
			sheets.push(current);
			current = { ...blankArt, width, height };
			y = 0;
		}
		current = withRow(plan, current, row, y);
		y += row.h;
	}
	return y > 0 ? [...sheets, current] : sheets;
}

interface Row extends Size {
	readonly labels: readonly Label[];
}

function rowsOf(labels: readonly Label[], across: number): Row[] {
	const rows: Row[] = [];
	for (const label of labels) {
		const { w, h } = label.mark;
		const last = rows.at(-1);
		if (last && last.h === h && last.w + w <= across)
			rows[rows.length - 1] = { w: last.w + w, h, labels: [...last.labels, label] };
		else rows.push({ w, h, labels: [label] });
	}
	return rows;
}

function withRow(plan: Plan, art: PageArt, { labels, w, h }: Row, y: number): PageArt {
	const { pitchMm } = plan.notebook;
	const at = (squares: number) => sheetMarginMm + squares * pitchMm;
	const cut = (x1: number, y1: number, x2: number, y2: number) => ({
		from: { x: at(x1), y: at(y1) },
		to: { x: at(x2), y: at(y2) },
		offDots: 0
	});
	const starts = labels.map((_, index) =>
		labels.slice(0, index).reduce((sum, { mark }) => sum + mark.w, 0)
	);
	return {
		...art,
		cuts: [
			...art.cuts,
			...[0, h].map((edge) => cut(0, y + edge, w, y + edge)),
			...[...starts, w].map((x) => cut(x, y, x, y + h))
		],
		texts: [
			...art.texts,
			...labels.map((label, index) => textOf(plan, label, at(starts[index] ?? 0), at(y)))
		]
	};
}
