import type { FieldScale } from '../../draw';
import type { TimeSpan } from './times';

const day = 24 * 60;

/** A stretch along a field, in squares from its first line. */
export interface Stretch {
	readonly from: number;
	readonly to: number;
}

/** Where a minute of the day lies after the scale's beginning, 0 up to a day later. */
const after = (scale: FieldScale, minute: number) => (((minute - scale.from) % day) + day) % day;

const turned = (scale: FieldScale, { from, to }: Stretch): Stretch =>
	scale.back ? { from: scale.squares - to, to: scale.squares - from } : { from, to };

/** Spans of time along a scale of minutes, as far as it shows them; one that goes beyond its end is cut there. */
export function stretchesOf(scale: FieldScale, spans: readonly TimeSpan[]): Stretch[] {
	return spans.flatMap((span): Stretch[] => {
		const from = after(scale, span.from) / scale.per;
		const to = Math.min(scale.squares, from + (span.to - span.from) / scale.per);
		return from < scale.squares ? [turned(scale, { from, to })] : [];
	});
}

/** The span of time of a stretch. */
export function spanOf(scale: FieldScale, stretch: Stretch): TimeSpan {
	const { from, to } = turned(scale, stretch);
	const begin = (scale.from + from * scale.per) % day;
	return { from: begin, to: begin + (to - from) * scale.per };
}

/** Spans with one more; those that it touches give way. */
export function withSpan(spans: readonly TimeSpan[], added: TimeSpan): TimeSpan[] {
	const touches = (one: TimeSpan) =>
		[-day, 0, day].some((by) => one.from + by < added.to && added.from < one.to + by);
	return [...spans.filter((one) => !touches(one)), added];
}

/** How far a number reaches along a scale. */
export function reachOf({ from, per, squares }: FieldScale, value: number): number {
	return Math.min(squares, Math.max(0, (value - from) / per));
}
