import { strokesFrom } from './strokes-from';
import type { Step } from './steps';

/** A place along a page's edge where lines begin or end, by the numbers of the guide's steps. */
export interface Tick {
	/** Squares from the first dot. */
	readonly at: number;
	readonly begins: readonly number[];
	readonly ends: readonly number[];
}

/** Ticks to lay along the top and along the side of a page, so that nothing needs to be counted. */
export interface TickStrips {
	readonly top: readonly Tick[];
	readonly side: readonly Tick[];
}

/** The tick strips of a page's guide; its steps are numbered from 1. */
export function tickStrips(steps: readonly Step[]): TickStrips {
	const strokes = steps.flatMap((step, index) =>
		step.kind === 'rule' ? strokesFrom(step).map((ends) => ({ ...ends, step: index + 1 })) : []
	);
	const along = (axis: 'x' | 'y'): Tick[] => {
		const places = new Set(strokes.flatMap(({ begin, end }) => [begin[axis], end[axis]]));
		const numbers = (which: 'begin' | 'end', at: number) => [
			...new Set(strokes.filter((stroke) => stroke[which][axis] === at).map(({ step }) => step))
		];
		return [...places]
			.sort((a, b) => a - b)
			.map((at) => ({ at, begins: numbers('begin', at), ends: numbers('end', at) }));
	};
	return { top: along('x'), side: along('y') };
}
