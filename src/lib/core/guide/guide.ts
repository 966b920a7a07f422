import type { LineMark, Mark, TextMark } from '../draw';
import type { Hand } from '../hand';
import type { Dot, Size } from '../paper';
import { areasOf } from './areas';
import { cornersOf, countsOf, furthest, KnownDots, type Place } from './place';
import { seriesOf, type Series } from './series';
import type { RuleStep, Step, WriteStep } from './steps';
import { strokesFrom } from './strokes-from';
import { thingAt, thingsOf, type Thing } from './things';

/**
 * Counting guide of one page, enough to draw every line, in the order of `passes`: tints, then strokes, a thing at a time, of each
 * the longest before the shorter, then what a compass draws, then drawn letters, then what is written. Each dot is counted from the nearest one that is known by then: a
 * corner, an end of what is ruled, or a helper tick; no count is larger than ten. `corners` are those that
 * the page has: other ones than usual where its leaf is cut.
 */
export function countingGuide(...asked: Parameters<typeof guided>): Step[] {
	return guided(...asked).steps;
}

/** The steps of a page, the things that are ruled on it, and to which of them each step belongs; −1 for none. */
export interface Guided {
	readonly steps: Step[];
	readonly things: readonly Thing[];
	readonly of: readonly number[];
}

/** The same with what each step belongs to. */
export function guided(
	page: Size,
	marks: readonly Mark[],
	corners: readonly Dot[] = cornersOf({ x: 0, y: 0, ...page }),
	writes: Hand['writes'] = 'right'
): Guided {
	const lines = marks.flatMap((mark) => (mark.kind === 'line' ? [mark] : []));
	const tints = marks.flatMap((mark) => (mark.kind === 'tint' ? [mark] : []));
	const texts = marks.flatMap((mark) => (mark.kind === 'text' && mark.text ? [mark] : []));
	const known = new KnownDots(corners);
	const steps: Step[] = [];
	const of: number[] = [];
	/** Steps from the last one on belong to a thing; helper ticks with what they lead to. */
	const belong = (thing: number) => {
		while (of.length < steps.length) of.push(thing);
	};
	/** A place for a dot, after helper ticks if it needs any. */
	const placeOf = (at: Dot, also?: Dot): Place => {
		const near = known.find(at, also);
		if (near) return near;
		steps.push(...known.ticksTo(at));
		const ticked = known.find(at, also);
		if (!ticked) throw new RangeError(`no way to dot (${at.x}, ${at.y})`);
		return ticked;
	};
	for (const { first, repeat } of areasOf(tints, writes)) {
		const { x, y, w, h, tone } = first;
		const begin = placeOf({ x, y });
		const end = placeOf({ x: x + w, y: y + h }, begin.at);
		steps.push({ kind: 'tint', tone, begin, end, ...(repeat ? { repeat } : {}) });
		belong(-1);
	}
	const things = thingsOf(lines, writes);
	for (const [index, { lines }] of things.entries()) {
		let open: readonly Series[] = seriesOf(lines);
		for (let next = nextOf(open, known); next; next = nextOf(open, known)) {
			const { found, begin, end } = next;
			open = open.filter((other) => other !== found);
			const from = placeOf(begin);
			const to = placeOf(end, begin);
			const step: RuleStep = { kind: 'rule', begin: from, end: to, repeat: found.repeat };
			steps.push(step);
			for (const stroke of strokesFrom(step)) {
				known.add(stroke.begin);
				known.add(stroke.end);
			}
		}
		belong(index);
	}
	for (const mark of marks) {
		if (mark.kind !== 'arc') continue;
		const begin = placeOf({ x: mark.x, y: mark.y });
		const end = placeOf({ x: mark.x + mark.radius, y: mark.y }, begin.at);
		steps.push({ kind: 'compass', begin, end, part: mark.part });
		belong(-1);
	}
	const drawn = texts.filter(({ style }) => style === 'lettering');
	const written = texts.filter(({ style }) => style !== 'lettering');
	const at = new Map(written.map((mark) => [mark, thingAt(things, dotOf(mark))]));
	// What belongs to nothing that is ruled stands first, as headings do.
	const groups = [
		drawn,
		...[-1, ...things.keys()].map((own) => written.filter((mark) => at.get(mark) === own))
	];
	for (const row of groups.flatMap((marks) => inColumns(rowsOf(marks), writes))) {
		const [first] = row;
		if (!first) continue;
		const begin = placeOf(dotOf(first));
		const words = row.map((mark) => ({ text: mark.text, at: dotOf(mark) }));
		steps.push({ kind: 'write', style: first.style, begin, texts: words } satisfies WriteStep);
		belong(at.get(first) ?? -1);
	}
	return { steps, things, of };
}

/** Squares that a step has one count; a series counts to both ends of each stroke. */
export function countsIn(step: Step): number {
	switch (step.kind) {
		case 'tick':
			return furthest * step.times;
		case 'write':
			return countsOf(step.begin);
		case 'compass':
			return countsOf(step.begin) + countsOf(step.end);
		case 'tint':
		case 'rule': {
			const { times = 0, every = 0 } = step.repeat ?? {};
			return countsOf(step.begin) + countsOf(step.end) + 2 * times * every;
		}
	}
}

function lengthOf({ x1, y1, x2, y2 }: LineMark): number {
	return Math.max(Math.abs(x2 - x1), Math.abs(y2 - y1));
}

/** What is ruled next, from which end: of the longest strokes the one that needs the fewest counts. */
function nextOf(open: readonly Series[], known: KnownDots) {
	const length = Math.max(...open.map(({ first }) => lengthOf(first)));
	let best: { found: Series; begin: Dot; end: Dot; counts: number } | undefined;
	for (const found of open) {
		const { first } = found;
		if (lengthOf(first) < length) continue;
		const a = { x: first.x1, y: first.y1 };
		const b = { x: first.x2, y: first.y2 };
		for (const [begin, end] of [
			[a, b],
			[b, a]
		] as const) {
			const counts = countsTo(known.find(begin)) + countsTo(known.find(end, begin));
			if (!best || counts < best.counts) best = { found, begin, end, counts };
		}
	}
	return best;
}

/** Counts to a place; more than any where it first needs a helper tick. */
function countsTo(place: Place | undefined): number {
	return place ? countsOf(place) : 3 * furthest;
}

/** The dot above and left of a text's place: words do not always begin on one. */
function dotOf({ x, y }: TextMark): Dot {
	return { x: Math.floor(x), y: Math.floor(y) };
}

/**
 * Rows of words as a left hand takes them: columns that begin side by side from right to left, so that it does not lie on
 * what it wrote. A right hand takes them as they come.
 */
function inColumns(rows: readonly TextMark[][], writes: Hand['writes']): readonly TextMark[][] {
	if (writes !== 'left') return rows;
	const columns: { x: number; y: number; rows: TextMark[][] }[] = [];
	for (const row of rows) {
		const { x = 0, y = 0 } = row[0] ?? {};
		const last = columns.at(-1);
		if (last && last.x === x) last.rows.push(row);
		else columns.push({ x, y, rows: [row] });
	}
	return columns.toSorted((a, b) => a.y - b.y || b.x - a.x).flatMap((column) => column.rows);
}

/** Texts that follow one another in a row, near enough to count on from one to the next. */
function rowsOf(texts: readonly TextMark[]): TextMark[][] {
	const rows: TextMark[][] = [];
	for (const mark of texts) {
		const row = rows.at(-1);
		const before = row?.at(-1);
		const joins =
			before && before.style === mark.style && before.y === mark.y
				? Math.abs(mark.x - before.x) <= furthest
				: false;
		if (row && joins) row.push(mark);
		else rows.push([mark]);
	}
	return rows;
}
