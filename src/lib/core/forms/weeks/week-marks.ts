import { frame, line, text, type Mark } from '../../draw';
import type { Rect } from '../../paper';
import { everySecond } from '../form/common-rules';
import type { Setting } from '../form/form';
import { choiceRule } from '../form/rule';
import { titleHeight, titleMarksIn } from '../parts/title-band';
import { dayHeading, spareHeading, type WeekDay, type WeekPiece, type WeekPlace } from './week';

export const frames = choiceRule({
	name: 'frames',
	label: 'Days are framed by',
	more: true,
	options: [
		['lines', 'lines'],
		['corners', 'corners'],
		['dashes', 'dashes'],
		['none', 'nothing']
	],
	usual: 'lines'
});

export const dayHeads = choiceRule({
	name: 'dayHead',
	label: 'A day begins with',
	more: true,
	options: [
		['row', 'its name and date on a row'],
		['square', 'its date in a square of 2 × 2']
	],
	usual: 'row'
});

/** Side of a date's own square. */
const square = 2;
/** Rows that a part of a day has at least: its name and a line to write on. */
const leastPart = 2;

/** The piece of a place that is wide enough for words: the wider one. */
function forWords([first, second]: WeekPlace): WeekPiece {
	return second && second.w > first.w ? second : first;
}

/**
 * The heights of a day's parts. A short week's days are of another height than the set's, so there the parts share it as
 * they share a usual day, or are left out where not even two rows each remain.
 */
function partHeights(setting: Setting, rows: number): { heights: readonly number[]; sum: string } {
	const asked = (setting.content.columns ?? []).map(({ width }) => width ?? leastPart);
	const all = asked.reduce((sum, height) => sum + height, 0);
	if (!setting.part?.short || all <= rows) return { heights: asked, sum: '' };
	const shared = asked.map((height) => Math.max(leastPart, Math.floor((height * rows) / all)));
	if (shared.reduce((sum, height) => sum + height, 0) > rows)
		return { heights: [], sum: `${rows} rows are too few for the parts of a day` };
	return { heights: shared, sum: `parts of a day ${shared.join(' + ')} in ${rows}` };
}

/** The heights of a day's parts in so many rows: those that have none of their own share the rest evenly. */
function evened({ content: { columns = [] } }: Setting, rows: number): number[] {
	const fixed = columns.reduce((sum, { width = 0 }) => sum + width, 0);
	const open = columns.filter(({ width }) => width === undefined).length;
	const share = open > 0 ? Math.max(leastPart, Math.floor((rows - fixed) / open)) : 0;
	return columns.map(({ width }) => width ?? share);
}

/**
 * How days are ruled whose places are at least `lowest` rows high: the least height that their parts need, what is said
 * of them, and their marks on one of the pages.
 */
export function dayMarks(
	setting: Setting,
	dayLines: ((height: number) => readonly number[]) | undefined,
	lowest: number
): {
	readonly least: number;
	readonly why: readonly string[];
	readonly marks: (place: WeekPlace, on: 0 | 1, day: WeekDay, also?: WeekDay) => Mark[];
} {
	const squareHead = dayHeads.of(setting) === 'square';
	const head = squareHead ? square : 1;
	const { heights, sum } = partHeights(setting, lowest - head);
	const parts = (setting.content.columns ?? []).slice(0, heights.length);
	const ruled = (box: Rect, day: WeekDay, words: boolean): Mark[] => {
		const { x, y, w, h } = box;
		const own = sum ? heights : evened(setting, h - head);
		const starts = own.map((_, index) =>
			own.slice(0, index).reduce((all, height) => all + height, head)
		);
		const across = (row: number) => line(x, y + row, x + w, y + row);
		return [
			...tints(setting, box, head),
			...(words ? headingOf(setting, day, box, squareHead) : []),
			...starts.map(across),
			...(words
				? parts.map(({ name }, index) =>
						text(name, { x, y: y + (starts[index] ?? 0), w, h: 1 }, 'hand', 'start')
					)
				: []),
			...(parts.length === 0 && dayLines ? dayLines(h).map(across) : [])
		];
	};
	return {
		least: head + heights.reduce((all, height) => all + height, 0),
		why: sum ? [sum] : [],
		marks: (place, on, day, also) =>
			place.flatMap((piece): Mark[] => {
				if (piece.on !== on) return [];
				const words = piece === forWords(place);
				if (!also) return ruled(piece, day, words);
				const upper = Math.floor(piece.h / 2);
				const lower = { ...piece, y: piece.y + upper, h: piece.h - upper };
				return [
					...ruled({ ...piece, h: upper }, day, words),
					...between(setting, lower),
					...ruled(lower, also, words)
				];
			})
	};
}

/** What parts two days that share a place, ruled as their frame is; a frame without sides has nothing between either. */
function between(setting: Setting, { x, y, w }: Rect): Mark[] {
	const edge = line(x, y, x + w, y);
	switch (frames.of(setting)) {
		case 'dashes':
			return dashed(edge);
		case 'lines':
			return [edge];
		default:
			return [];
	}
}

function headingOf(setting: Setting, day: WeekDay, box: Rect, squareHead: boolean): Mark[] {
	const { x, y, w, h } = box;
	if (!squareHead || w < square + 1 || h < square) return [dayHeading(setting, day, box)];
	const named = dayHeading(
		setting,
		{ ...day, date: undefined },
		{ x: x + square, y, w: w - square, h: 1 }
	);
	return [
		...frame({ x, y, w: square, h: square }),
		...(day.date === undefined
			? []
			: [text(String(day.date), { x, y, w: square, h: square }, 'figure')]),
		named
	];
}

/** Every second line below a day's head lightly coloured, where that is asked for. */
function tints(setting: Setting, { x, y, w, h }: Rect, head: number): Mark[] {
	if (!everySecond.of(setting)) return [];
	return Array.from({ length: Math.floor((h - head) / 2) }, (_, index): Mark => ({
		kind: 'tint',
		tone: 'line',
		x,
		y: y + head + 2 * index + 1,
		w,
		h: 1
	}));
}

/** The words of a spare place. */
export function spareMarks(setting: Setting, place: WeekPlace, on: 0 | 1): Mark[] {
	const piece = forWords(place);
	return piece.on === on ? spareHeading(setting, piece) : [];
}

/** The frame of a place on one of the pages, open at the fold. */
export function placeMarks(setting: Setting, place: WeekPlace, on: 0 | 1): Mark[] {
	const style = frames.of(setting);
	if (style === 'none') return [];
	const [first, second] = place;
	return place.flatMap((piece): Mark[] => {
		if (piece.on !== on) return [];
		const { x, y, w, h } = piece;
		const open = { left: piece === second, right: piece === first && second !== undefined };
		if (style === 'corners') return corners(piece, open);
		const sides = [
			line(x, y, x + w, y),
			line(x, y + h, x + w, y + h),
			...(open.left ? [] : [line(x, y, x, y + h)]),
			...(open.right ? [] : [line(x + w, y, x + w, y + h)])
		];
		return style === 'dashes' ? sides.flatMap(dashed) : sides;
	});
}

function corners(
	{ x, y, w, h }: Rect,
	open: { readonly left: boolean; readonly right: boolean }
): Mark[] {
	const ends = [
		...(open.left ? [] : [{ at: x, inward: 1 }]),
		...(open.right ? [] : [{ at: x + w, inward: -1 }])
	];
	return ends.flatMap(({ at, inward }) =>
		[
			{ row: y, down: 1 },
			{ row: y + h, down: -1 }
		].flatMap(({ row, down }) => [
			line(Math.min(at, at + inward), row, Math.max(at, at + inward), row),
			line(at, Math.min(row, row + down), at, Math.max(row, row + down))
		])
	);
}

/** A line as dashes of a square, every second square. */
function dashed({ x1, y1, x2, y2 }: ReturnType<typeof line>): Mark[] {
	const length = Math.max(x2 - x1, y2 - y1);
	const [dx, dy] = x2 > x1 ? [1, 0] : [0, 1];
	return Array.from({ length: Math.ceil(length / 2) }, (_, index) => {
		const at = { x: x1 + 2 * index * dx, y: y1 + 2 * index * dy };
		return line(at.x, at.y, at.x + dx, at.y + dy);
	});
}

/** A head in a place of its own: the title's letters, and the week's number and dates below them. */
export function headMarks(
	setting: Setting,
	dates: string
): { readonly rows: number; readonly marks: (box: Rect) => Mark[] } {
	const rows = titleHeight + 2;
	return {
		rows,
		marks: ({ x, y, w }) => [
			...titleMarksIn(setting, { x, y, w, h: titleHeight - 1 }),
			text(dates, { x, y: y + titleHeight, w, h: 1 }, 'hand')
		]
	};
}
