import type { LineMark, TextMark } from '../draw';
import type { Hand } from '../hand';
import type { Rect } from '../paper';
import { seriesOf } from './series';

/** Strokes that touch each other: a small calendar, a table, a frame. A hand draws one whole before it goes on to the next. */
export interface Thing {
	readonly box: Rect;
	readonly lines: readonly LineMark[];
}

/** Things whose upper edges lie within so many squares of each other stand side by side. */
const abreast = 3;

const boxOf = ({ x1, y1, x2, y2 }: LineMark): Rect => ({
	x: Math.min(x1, x2),
	y: Math.min(y1, y2),
	w: Math.abs(x2 - x1),
	h: Math.abs(y2 - y1)
});

const touch = (a: Rect, b: Rect) =>
	a.x <= b.x + b.w && b.x <= a.x + a.w && a.y <= b.y + b.h && b.y <= a.y + a.h;

const around = (a: Rect, b: Rect): Rect => {
	const [x, y] = [Math.min(a.x, b.x), Math.min(a.y, b.y)];
	return {
		x,
		y,
		w: Math.max(a.x + a.w, b.x + b.w) - x,
		h: Math.max(a.y + a.h, b.y + b.h) - y
	};
};

/** The things that strokes make up, from the top down, those side by side from left to right, or as a left hand goes. */
export function thingsOf(lines: readonly LineMark[], writes: Hand['writes'] = 'right'): Thing[] {
	let things: { box: Rect; lines: LineMark[]; boxes: Rect[] }[] = [];
	for (const stroke of lines) {
		const box = boxOf(stroke);
		// The boxes of a thing's strokes, and not its own: what stands in a frame is a thing by itself.
		const near = things.filter((thing) => thing.boxes.some((other) => touch(box, other)));
		things = [
			...things.filter((thing) => !near.includes(thing)),
			{
				box: near.reduce((all, one) => around(all, one.box), box),
				lines: [...near.flatMap((thing) => thing.lines), stroke],
				boxes: [...near.flatMap(({ boxes }) => boxes), box]
			}
		];
	}
	// Lines to write on touch nothing, and are a thing together.
	const single = things.filter(({ lines }) => lines.length === 1).flatMap(({ lines }) => lines);
	const lists = seriesOf(single).map(({ strokes }): Thing => ({
		box: strokes.map(boxOf).reduce(around),
		lines: strokes
	}));
	const ruled = things.flatMap(({ box, lines }) => (lines.length > 1 ? [{ box, lines }] : []));
	return inRows([...ruled, ...lists], writes);
}

function inRows(things: readonly Thing[], writes: Hand['writes']): Thing[] {
	const down = things.toSorted((a, b) => a.box.y - b.box.y || a.box.x - b.box.x);
	const rows: Thing[][] = [];
	for (const thing of down) {
		const row = rows.at(-1);
		if (row?.[0] && thing.box.y - row[0].box.y <= abreast) row.push(thing);
		else rows.push([thing]);
	}
	const way = writes === 'left' ? -1 : 1;
	return rows.flatMap((row) => row.toSorted((a, b) => way * (a.box.x - b.box.x)));
}

/** Words stand so far above or beside what they belong to. */
const reach = { above: 3, beside: 2 };

/** The thing that a text belongs to, by its place among them: the smallest that it stands in, above or beside; −1 for none. */
export function thingAt(things: readonly Thing[], { x, y }: Pick<TextMark, 'x' | 'y'>): number {
	let best = -1;
	let least = Infinity;
	for (const [index, { box }] of things.entries()) {
		const over = box.y - y;
		const left = Math.max(box.x - x, x - (box.x + box.w), 0);
		if (over > reach.above || y > box.y + box.h || left > reach.beside) continue;
		// What it stands in comes before what it stands beside, a small thing before a large one around it.
		const value = box.w * box.h + 10_000 * (Math.max(0, over) + left);
		if (value >= least) continue;
		least = value;
		best = index;
	}
	return best;
}
