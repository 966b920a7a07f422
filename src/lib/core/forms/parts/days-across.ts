import type { Room, Setting } from '../form/form';
import { daysFrom } from './day-labels';

/** How the days of a month stand side by side: beside labels on one page, or split by the fold. */
export interface DaysAcross {
	readonly label: number;
	readonly side: 'left' | 'right';
	/** Days on each page. */
	readonly parts: readonly (readonly number[])[];
}

/**
 * Days beside a label column of a given width: on one page only if label + days ≤ W; on a spread the left page takes as
 * many as it can and the right page the rest, against the fold. Undefined when they do not fit. (Common practice.)
 */
export function daysAcross(
	{ month }: Setting,
	room: Room,
	label: number,
	side: DaysAcross['side'] = 'left'
): DaysAcross | undefined {
	const { days } = month;
	if (room.span === 'page')
		return label + days <= room.w ? { label, side, parts: [daysFrom(1, days)] } : undefined;
	const [before, after] = side === 'left' ? [label, 0] : [0, label];
	const left = Math.min(days - 1, room.left.w - before);
	if (left < 1 || days - left + after > room.right.w) return undefined;
	return { label, side, parts: [daysFrom(1, left), daysFrom(left + 1, days)] };
}

/** Squares that each page's part takes, labels included. */
export function widthsAcross({ label, side, parts }: DaysAcross): number[] {
	const labelled = side === 'left' ? 0 : parts.length - 1;
	return parts.map((days, part) => days.length + (part === labelled ? label : 0));
}

/** The sum behind days side by side. */
export function daysAcrossSums(across: DaysAcross, room: Room): string[] {
	const { label, side, parts } = across;
	const [left = 0, right] = widthsAcross(across);
	const [first, second] = parts.map((days) => `${days.length} days`);
	const withLabels = (days = '') => `labels ${label} + ${days}`;
	if (room.span === 'page' || right === undefined) return [`${withLabels(first)} = ${left} across`];
	return [
		`left: ${side === 'left' ? withLabels(first) : first} = ${left} of ${room.left.w}`,
		`right: ${side === 'right' ? withLabels(second) : second} = ${right} of ${room.right.w}`
	];
}

/** Room taken by days side by side and so many rows. */
export function daysAcrossRoom(across: DaysAcross, room: Room, height: number): Room {
	const [left = 0, right = 0] = widthsAcross(across);
	if (room.span === 'page') return { span: 'page', w: left, h: height };
	return {
		span: 'spread',
		left: { w: room.left.w, h: height },
		right: { w: right, h: height },
		gutter: room.gutter
	};
}
