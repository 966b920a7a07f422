import type { LineMark } from '../draw';
import { furthest } from './place';
import type { Repeat } from './steps';

/** A stroke and others like it at equal distances. */
export interface Series {
	readonly first: LineMark;
	readonly repeat?: Repeat;
	/** All of them, in order. */
	readonly strokes: readonly LineMark[];
}

/** Gathers parallel strokes of equal extent into series of equal distance, no wider than one counts. */
export function seriesOf(lines: readonly LineMark[]): Series[] {
	const groups = new Map<string, LineMark[]>();
	for (const stroke of lines) {
		const key =
			stroke.y1 === stroke.y2
				? `h ${stroke.x1} ${stroke.x2}`
				: stroke.x1 === stroke.x2
					? `v ${stroke.y1} ${stroke.y2}`
					: `s ${stroke.x1} ${stroke.y1} ${stroke.x2} ${stroke.y2}`;
		groups.set(key, [...(groups.get(key) ?? []), stroke]);
	}
	return [...groups.values()].flatMap(evenRuns);
}

function evenRuns(strokes: readonly LineMark[]): Series[] {
	const at = (stroke: LineMark) => (stroke.y1 === stroke.y2 ? stroke.y1 : stroke.x1);
	const sorted = [...strokes].sort((a, b) => at(a) - at(b));
	const runs: Series[] = [];
	for (const stroke of sorted) {
		const last = runs.at(-1);
		const { times = 0, every = 0 } = last?.repeat ?? {};
		const distance = last ? at(stroke) - at(last.first) - every * times : Infinity;
		if (last && distance <= furthest && (times === 0 || distance === every)) {
			const direction = stroke.y1 === stroke.y2 ? 'down' : 'right';
			const repeat = { times: times + 1, every: distance, direction } as const;
			runs[runs.length - 1] = { first: last.first, repeat, strokes: [...last.strokes, stroke] };
		} else runs.push({ first: stroke, strokes: [stroke] });
	}
	return runs;
}
