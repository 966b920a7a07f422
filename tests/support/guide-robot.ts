import type { Mark } from '../../src/lib/core/draw';
import type { Size } from '../../src/lib/core/paper';

/**
 * A robot that can only count. It knows a page's corners and the numbers of its guide as plain data, starts
 * every count at a corner or at a dot it has marked before, refuses to count beyond ten, and tells which
 * lines it has ruled. It shares no code with the guide.
 */
export function ruleByCounting(
	page: Size,
	guide: string,
	corners: readonly Point[] = [0, page.w].flatMap((x) => [0, page.h].map((y) => ({ x, y })))
): string[] {
	const known = new Set<string>();
	const mark = (x: number, y: number) => known.add(`${x} ${y}`);
	for (const { x, y } of corners) mark(x, y);
	const ruled: string[] = [];
	const steps: readonly Numbers[] = JSON.parse(guide);
	for (const step of steps) {
		if (step.kind === 'tick') {
			const start = step.reference;
			const by = { right: [10, 0], left: [-10, 0], down: [0, 10], up: [0, -10] }[
				step.direction ?? ''
			];
			if (!start || !by || !known.has(`${start.x} ${start.y}`))
				throw new Error('no place to tick from');
			for (let time = 1; time <= (step.times ?? 0); time++)
				mark(start.x + time * (by[0] ?? 0), start.y + time * (by[1] ?? 0));
			continue;
		}
		const begin = find(step.begin, known);
		if (step.kind === 'write') continue;
		const end = find(step.end, new Set([...known, `${begin.x} ${begin.y}`]));
		if (step.kind === 'tint') continue;
		if (step.kind === 'compass') {
			const part = step.part === 'upper' ? 'the upper half of ' : '';
			ruled.push(`${part}a circle of ${end.x - begin.x} round ${begin.x},${begin.y}`);
			continue;
		}
		const { times = 0, every = 0, direction = 'down' } = step.repeat ?? {};
		if (every > 10) throw new Error(`a count of ${every}`);
		for (let time = 0; time <= times; time++) {
			const [dx, dy] = direction === 'right' ? [time * every, 0] : [0, time * every];
			const from = [begin.x + dx, begin.y + dy];
			const to = [end.x + dx, end.y + dy];
			mark(from[0] ?? 0, from[1] ?? 0);
			mark(to[0] ?? 0, to[1] ?? 0);
			ruled.push([from.join(), to.join()].sort().join(' – '));
		}
	}
	return ruled.sort();
}

interface Numbers {
	readonly kind: string;
	readonly reference?: Point;
	readonly direction?: string;
	readonly times?: number;
	readonly part?: string;
	readonly begin?: Found;
	readonly end?: Found;
	readonly repeat?: { readonly times: number; readonly every: number; readonly direction: string };
}

interface Point {
	readonly x: number;
	readonly y: number;
}

interface Found {
	readonly reference: Point;
	readonly count: { readonly across: number; readonly down: number };
}

function find(place: Found | undefined, known: ReadonlySet<string>): Point {
	if (!place) throw new Error('a place is missing');
	const { reference, count } = place;
	if (!known.has(`${reference.x} ${reference.y}`))
		throw new Error(`dot (${reference.x}, ${reference.y}) is not known yet`);
	if (Math.abs(count.across) > 10 || Math.abs(count.down) > 10)
		throw new Error(`a count of ${count.across} and ${count.down}`);
	return { x: reference.x + count.across, y: reference.y + count.down };
}

/** What the robot must have ruled of some marks, in its words. */
export function wantedOf(marks: readonly Mark[]): { lines: string[]; all: string[] } {
	const lines = marks.flatMap((mark) =>
		mark.kind === 'line'
			? [[`${mark.x1},${mark.y1}`, `${mark.x2},${mark.y2}`].sort().join(' – ')]
			: []
	);
	const round = marks.flatMap((mark) => {
		if (mark.kind !== 'arc') return [];
		const half = mark.part === 'upper' ? 'the upper half of ' : '';
		return [`${half}a circle of ${mark.radius} round ${mark.x},${mark.y}`];
	});
	return { lines: lines.sort(), all: [...lines, ...round].sort() };
}
