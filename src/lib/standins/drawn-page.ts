import type { FieldMark, Mark } from '$lib/core/draw';
import { marginMm, type Notebook, type Side } from '$lib/core/paper';
import { readTimes, reachOf, stretchesOf } from '$lib/core/records';
import { fill, sheetOf, stroke, type Rgb, type Sheet } from './paper-raster';
import { seeded } from './seeded';

/** How somebody draws and fills in. */
export interface Penmanship {
	readonly seed: string;
	/** How a square is filled in. */
	readonly fills: 'whole' | 'crossed' | 'slashed' | 'ticked' | 'dotted' | 'ringed' | 'coloured';
	/** Colour of the lines. */
	readonly ink: Rgb;
	/** Whether the dates are written. */
	readonly dates: boolean;
	/** Colours of a key's states, from the first. */
	readonly levels: readonly Rgb[];
	/** How far a stroke misses where it should be, in mm. */
	readonly shakes: number;
}

/** A hand as most are. */
export const usualHand: Penmanship = {
	seed: 'usual',
	fills: 'whole',
	ink: [38, 42, 58],
	dates: true,
	levels: [
		[236, 205, 110],
		[140, 190, 130],
		[120, 165, 215],
		[165, 140, 205],
		[215, 130, 120],
		[170, 150, 110]
	],
	shakes: 0.12
};

/** Something that was filled in. */
export interface FilledIn {
	readonly field: FieldMark;
	readonly value: string;
}

const paper: Rgb = [250, 247, 238];
const dotColour: Rgb = [156, 154, 150];
const [dotMm, penMm] = [0.42, 0.42];
const [barColour, colouring]: readonly [Rgb, Rgb] = [
	[120, 160, 150],
	[214, 168, 92]
];

/** Figures as strokes in a box of 2 by 4, from corner to corner; a writing of its own. */
const figures: readonly string[] = [
	'0 1,1 0,2 1,2 3,1 4,0 3,0 1',
	'0 1,1 0,1 4',
	'0 1,1 0,2 1,0 4,2 4',
	'0 0,2 0,1 2,2 3,1 4,0 3',
	'1 0,0 3,2 3 1 2,1 4',
	'2 0,0 0,0 2,2 2,2 3,1 4,0 4',
	'2 0,0 2,0 3,1 4,2 3,1 2,0 3',
	'0 0,2 0,1 4',
	'1 2,0 1,1 0,2 1,1 2,0 3,1 4,2 3,1 2',
	'2 1,1 2,0 1,1 0,2 1,2 3,1 4'
];

/** A page of a notebook as a hand has drawn it and filled it in; marks in squares from the first dot. */
export function drawnPage(
	notebook: Notebook,
	side: Side,
	marks: readonly Mark[],
	filled: readonly FilledIn[],
	hand: Penmanship
): Sheet {
	const { pitchMm, columns, rows, pageMm } = notebook;
	const margin = marginMm(notebook, side);
	const sheet = sheetOf(pageMm.width, pageMm.height, paper);
	const random = seeded(hand.seed);
	const shake = () => (random() + random() - 1) * hand.shakes;
	const mood = seeded(`${hand.seed} never twice the same`);
	/** Between -1 and 1: nobody writes a figure, or makes a mark, twice in the same place and size. */
	const varied = () => mood() + mood() - 1;
	const at = (x: number, y: number) => ({ x: margin.x + x * pitchMm, y: margin.y + y * pitchMm });
	const near = (x: number, y: number) => {
		const place = at(x, y);
		return { x: place.x + shake(), y: place.y + shake() };
	};
	const pen = (x1: number, y1: number, x2: number, y2: number, colour = hand.ink, wide = penMm) =>
		stroke(sheet, near(x1, y1), near(x2, y2), wide, colour);
	const area = (x: number, y: number, w: number, h: number, colour: Rgb, strength: number) =>
		fill(sheet, [near(x, y), near(x + w, y), near(x + w, y + h), near(x, y + h)], colour, strength);

	for (let row = 0; row <= rows; row++)
		for (let column = 0; column <= columns; column++)
			stroke(sheet, at(column, row), at(column, row), dotMm, dotColour);
	for (const mark of marks) if (mark.kind === 'tint') tint(mark);
	for (const one of filled) fillIn(one);
	for (const mark of marks) draw(mark);
	return sheet;

	function tint({ x, y, w, h, tone }: Extract<Mark, { kind: 'tint' }>) {
		const level = tone.startsWith('level-') ? hand.levels[Number(tone.slice(6)) - 1] : undefined;
		if (level) area(x + 0.06, y + 0.06, w - 0.12, h - 0.12, level, 0.9);
		else if (tone === 'rest') area(x + 0.05, y + 0.05, w - 0.1, h - 0.1, [236, 228, 206], 0.8);
	}

	function draw(mark: Mark) {
		switch (mark.kind) {
			case 'line':
				return pen(mark.x1, mark.y1, mark.x2, mark.y2);
			case 'arc': {
				const turns = mark.part === 'whole' ? 2 : 1;
				for (let part = 0; part < 24 * turns; part++) {
					const [a, b] = [part, part + 1].map((one) => Math.PI + (one * Math.PI) / 24);
					const on = (angle = 0) =>
						at(mark.x + mark.radius * Math.cos(angle), mark.y + mark.radius * Math.sin(angle));
					stroke(sheet, on(a), on(b), penMm, hand.ink);
				}
				return;
			}
			case 'text':
				if (/^\d+$/.test(mark.text)) {
					if (hand.dates || mark.style !== 'figure')
						number(mark.text, mark.x, mark.y, mark.w, mark.h);
				} else words(mark.text, mark.x, mark.y, mark.w, mark.h);
		}
	}

	function number(text: string, x: number, y: number, w: number, h: number) {
		const high = (Math.min(0.62, h * 0.6) / 4) * (1 + 0.15 * varied());
		const wide = Math.min(high, (w * 0.8) / (3 * text.length));
		const left = x + (w - (3 * text.length - 1) * wide) / 2 + 0.08 * varied();
		const middle = y + h / 2 + 0.08 * varied();
		for (const [place, figure] of [...text].entries()) {
			const points = (figures[Number(figure)] ?? '')
				.split(',')
				.map((pair) => pair.split(' ').map(Number));
			for (let step = 1; step < points.length; step++) {
				const [[x1 = 0, y1 = 0] = [], [x2 = 0, y2 = 0] = []] = [points[step - 1], points[step]];
				const from = left + 3 * place * wide;
				const top = middle - 2 * high;
				const [a, b] = [
					at(from + x1 * wide, top + y1 * high),
					at(from + x2 * wide, top + y2 * high)
				];
				stroke(sheet, a, b, 0.3, hand.ink);
			}
		}
	}

	/** Letters that nobody can read, as dense as writing is. */
	function words(text: string, x: number, y: number, w: number, h: number) {
		const high = Math.min(h * 0.5, 2);
		const wide = Math.min(w / Math.max(1, text.length), high * 0.9);
		for (const [place, letter] of [...text].entries()) {
			if (letter === ' ') continue;
			const [left, top] = [x + place * wide + 0.1, y + (h - high) / 2];
			for (let part = 0; part < 2; part++)
				stroke(
					sheet,
					at(left + random() * wide * 0.7, top + random() * high),
					at(left + random() * wide * 0.7, top + random() * high),
					0.3,
					hand.ink
				);
		}
	}

	function fillIn({ field, value }: FilledIn) {
		const { x, y, w, h, holds, scale } = field;
		if (value === '') return;
		if (holds === 'mark' || holds === 'tick') {
			if (value === 'x') square(field);
		} else if (holds === 'level') {
			const colour = hand.levels[Number(value) - 1];
			const beyond = field.beyond ?? 0;
			if (colour)
				fill(
					sheet,
					[
						near(x + 0.1, y + 0.1),
						near(x + w - 0.1, y + 0.1),
						near(x + w + beyond - 0.15, y + h / 2),
						near(x + w - 0.1, y + h - 0.1),
						near(x + 0.1, y + h - 0.1),
						near(x - beyond + 0.15, y + h / 2)
					],
					colour,
					0.9
				);
		} else if (scale && holds === 'times') {
			for (const { from, to } of stretchesOf(scale, readTimes(value) ?? []))
				area(x + from, y + 0.14, to - from, h * 0.72, barColour, 0.85);
		} else if (scale && holds === 'number')
			area(x, y + 0.14, reachOf(scale, Number(value)), h * 0.72, barColour, 0.85);
		else words(value, x, y + h / 2 - 0.5, w, 1);
	}

	function square({ x, y, w, h }: FieldMark) {
		const side = Math.min(w, h) * (1 + 0.15 * varied());
		const [cx, cy] = [x + w / 2 + 0.1 * side * varied(), y + h / 2 + 0.1 * side * varied()];
		const part = (by: number) => side * by;
		switch (hand.fills) {
			case 'whole':
				return area(x + 0.08, y + 0.08, w - 0.16, h - 0.16, [70, 84, 120], 0.85);
			case 'coloured':
				return area(x + 0.06, y + 0.06, w - 0.12, h - 0.12, colouring, 0.75);
			case 'crossed':
				pen(cx - part(0.36), cy - part(0.36), cx + part(0.36), cy + part(0.36));
				return pen(cx + part(0.36), cy - part(0.36), cx - part(0.36), cy + part(0.36));
			case 'slashed':
				return pen(cx - part(0.42), cy + part(0.42), cx + part(0.42), cy - part(0.42));
			case 'ticked':
				pen(cx - part(0.35), cy, cx - part(0.08), cy + part(0.32));
				return pen(cx - part(0.08), cy + part(0.32), cx + part(0.4), cy - part(0.38));
			case 'dotted':
				return pen(cx, cy, cx + 0.02, cy, hand.ink, part(0.42) * pitchMm);
			case 'ringed':
				for (let step = 0; step < 16; step++) {
					const [a = 0, b = 0] = [step, step + 1].map((one) => (one * Math.PI) / 8);
					const on = (angle: number) =>
						at(cx + part(0.4) * Math.cos(angle), cy + part(0.4) * Math.sin(angle));
					stroke(sheet, on(a), on(b), penMm, hand.ink);
				}
		}
	}
}
