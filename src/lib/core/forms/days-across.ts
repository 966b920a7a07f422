import type { Room, Setting } from './form';
import { daysFrom } from './day-labels';

/** How the days of a month stand side by side: after labels on one page, or split by the fold. */
export interface DaysAcross {
	readonly label: number;
	/** Days on each page. */
	readonly parts: readonly (readonly number[])[];
}

/**
 * Days after a label column of a given width: on one page only if label + days ≤ W; on a spread the
 * left page takes as many as it can and the right page the rest, against the fold. Undefined when they
 * do not fit. (Common practice.)
 */
export function daysAcross({ month }: Setting, room: Room, label: number): DaysAcross | undefined {
	if (room.span === 'page')
		return label + month.days <= room.w ? { label, parts: [daysFrom(1, month.days)] } : undefined;
	const left = Math.min(month.days - 1, room.left.w - label);
	const right = month.days - left;
	if (left < 1 || right > room.right.w) return undefined;
	return { label, parts: [daysFrom(1, left), daysFrom(left + 1, month.days)] };
}

/** The sum behind days side by side. */
export function daysAcrossSums({ label, parts }: DaysAcross, room: Room): string[] {
	const [left, right] = parts;
	if (room.span === 'page' || !right)
		return [`labels ${label} + ${left?.length ?? 0} days = ${label + (left?.length ?? 0)} across`];
	return [
		`left: labels ${label} + ${left?.length ?? 0} days = ${label + (left?.length ?? 0)} of ${room.left.w}`,
		`right: ${right.length} days of ${room.right.w}`
	];
}

/** Room taken by days side by side and so many rows. */
export function daysAcrossRoom({ label, parts }: DaysAcross, room: Room, height: number): Room {
	const [left, right] = parts;
	const leftWidth = label + (left?.length ?? 0);
	if (room.span === 'page') return { span: 'page', w: leftWidth, h: height };
	return {
		span: 'spread',
		left: { w: room.left.w, h: height },
		right: { w: right?.length ?? 0, h: height },
		gutter: room.gutter
	};
}
