import { line, type LineMark, type Mark } from './mark';

/**
 * Makes every ruled stroke stand once: strokes on the same line that touch or overlap become one,
 * slanted strokes lose their doubles. Horizontal strokes come first, top down, then vertical ones,
 * left to right, then slanted ones; each runs from left to right or top to bottom.
 */
export function mergeLines(lines: readonly LineMark[]): LineMark[] {
	const horizontal = new Map<number, [number, number][]>();
	const vertical = new Map<number, [number, number][]>();
	const slanted = new Map<string, LineMark>();
	for (const { x1, y1, x2, y2 } of lines) {
		if (y1 === y2 && x1 === x2) continue;
		if (y1 === y2) push(horizontal, y1, [Math.min(x1, x2), Math.max(x1, x2)]);
		else if (x1 === x2) push(vertical, x1, [Math.min(y1, y2), Math.max(y1, y2)]);
		else {
			const stroke = x1 < x2 ? line(x1, y1, x2, y2) : line(x2, y2, x1, y1);
			slanted.set(`${stroke.x1} ${stroke.y1} ${stroke.x2} ${stroke.y2}`, stroke);
		}
	}
	return [
		...unions(horizontal).map(([y, from, to]) => line(from, y, to, y)),
		...unions(vertical).map(([x, from, to]) => line(x, from, x, to)),
		...slanted.values()
	];
}

/** Marks with their ruled strokes merged; everything else as it was, in its order. */
export function mergeMarks(marks: readonly Mark[]): Mark[] {
	const lines: LineMark[] = [];
	const others: Mark[] = [];
	for (const mark of marks) {
		if (mark.kind === 'line') lines.push(mark);
		else others.push(mark);
	}
	return [...others, ...mergeLines(lines)];
}

function push(map: Map<number, [number, number][]>, at: number, interval: [number, number]) {
	const found = map.get(at);
	if (found) found.push(interval);
	else map.set(at, [interval]);
}

function unions(map: Map<number, [number, number][]>): [at: number, from: number, to: number][] {
	const result: [number, number, number][] = [];
	for (const at of [...map.keys()].sort((a, b) => a - b)) {
		const intervals = (map.get(at) ?? []).sort((a, b) => a[0] - b[0]);
		let current: [number, number] | undefined;
		for (const [from, to] of intervals) {
			if (current && from <= current[1]) current = [current[0], Math.max(current[1], to)];
			else {
				if (current) result.push([at, ...current]);
				current = [from, to];
			}
		}
		if (current) result.push([at, ...current]);
	}
	return result;
}
