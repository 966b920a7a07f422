import { lightAt, type Grey } from '../picture/image';
import { median, type Warp } from '../grid/warp';

export const edgeNames = ['left', 'right', 'top', 'bottom'] as const;
export type EdgeName = (typeof edgeNames)[number];

/** An edge of the paper: how far outside the outermost dots it lies, in squares, and how far the rows disagree about it. */
export interface PaperEdge {
	readonly outside: number;
	/** Half the distance of the quartiles, in squares. */
	readonly spread: number;
}

/** Dots of a grid from (0, 0) to (columns, rows). */
export interface GridSize {
	readonly columns: number;
	readonly rows: number;
}

/** An edge is looked for so far outside the outermost dots, in squares, in steps of so much. */
const [furthest, step] = [4.2, 0.02];
/** A weaker step of light, of 255, is no edge. */
const leastStep = 14;
/** So many places along a side are asked, at least this share must answer, and their quartiles may lie so far apart. */
const [places, leastShare, mostSpread] = [48, 0.6, 0.07];

/**
 * The edges of the paper around a grid of dots: along many rows the steepest step of brightness, either way, outside the
 * outermost dot, or the end of the picture where the paper is known to end `withPicture`. An edge that the rows do not agree
 * on is none.
 */
export function paperEdges(
	picture: Grey,
	warp: Warp,
	{ columns, rows }: GridSize,
	withPicture: ReadonlySet<EdgeName> = new Set()
): Partial<Record<EdgeName, PaperEdge>> {
	const found: Partial<Record<EdgeName, PaperEdge>> = {};
	for (const name of edgeNames) {
		const across = name === 'left' || name === 'right';
		const length = across ? rows : columns;
		const answers: number[] = [];
		for (let place = 0; place < places; place++) {
			// The corners of the paper are no part of a side.
			const along = length * (0.04 + (0.92 * place) / (places - 1));
			const edge = withPicture.has(name) ? ending : steepest;
			const answer = edge((outside) => {
				const at =
					name === 'left'
						? warp.at(-outside, along)
						: name === 'right'
							? warp.at(columns + outside, along)
							: name === 'top'
								? warp.at(along, -outside)
								: warp.at(along, rows + outside);
				const inside = at.x >= 0 && at.y >= 0 && at.x < picture.width && at.y < picture.height;
				return inside ? lightAt(picture, at.x, at.y) : undefined;
			});
			if (answer !== undefined) answers.push(answer);
		}
		if (answers.length < leastShare * places) continue;
		const sorted = answers.toSorted((a, b) => a - b);
		const quartile = (share: number) => sorted[Math.round(share * (sorted.length - 1))] ?? 0;
		const spread = (quartile(0.75) - quartile(0.25)) / 2;
		if (2 * spread <= mostSpread) found[name] = { outside: median(sorted), spread };
	}
	return found;
}

/** Where the picture ends on the way outwards, in squares; undefined where that is too far. */
function ending(lightAfter: (outside: number) => number | undefined): number | undefined {
	for (let outside = 0; outside <= furthest; outside += step)
		if (lightAfter(outside) === undefined) return outside - step / 2;
	return undefined;
}

/** Where the light changes most on the way outwards, in squares; undefined where it does not, or the picture ends before. */
function steepest(lightAfter: (outside: number) => number | undefined): number | undefined {
	const lights: number[] = [];
	for (let outside = 0.3; outside <= furthest; outside += step) {
		const light = lightAfter(outside);
		if (light === undefined) break;
		lights.push(light);
	}
	// What is compared lies a tenth of a square inside and outside.
	const reach = Math.round(0.1 / step);
	let best = leastStep;
	let at: number | undefined;
	for (let index = reach; index < lights.length - reach; index++) {
		const change = Math.abs(meanOf(lights, index, reach) - meanOf(lights, index - reach, reach));
		if (change <= best) continue;
		best = change;
		at = index;
	}
	return at === undefined ? undefined : 0.3 + (at - 0.5) * step;
}

function meanOf(values: readonly number[], from: number, count: number): number {
	let sum = 0;
	for (let at = from; at < from + count; at++) sum += values[at] ?? 0;
	return sum / count;
}
