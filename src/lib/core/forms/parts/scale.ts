import { text, type Mark } from '../../draw';
import { textWidth } from '../../hand';
import { dayLabelWidth } from './day-labels';
import type { Rect } from '../../paper';
import type { Setting } from '../form/form';
import { numberRule } from '../form/rule';

const percent = { first: 0, last: 100, step: 50 };

const value = (name: 'first' | 'last' | 'step', label: string, least: number) =>
	numberRule({ name, label, least, most: 1_000_000, chosen: () => percent[name] });

/** First and last value of a scale, and the step between its lines. */
export const firstValue = value('first', 'Scale from', 0);
export const lastValue = value('last', 'to', 1);
export const stepValue = value('step', 'in steps of', 1);

/** A scale of values: so many steps from a first value on. */
export interface Scale {
	readonly first: number;
	readonly step: number;
	readonly steps: number;
}

/** The scale that is asked for, or percent in steps of a size. */
export function scaleOf(setting: Setting, usualStep = percent.step): Scale {
	const first = firstValue.of(setting) ?? percent.first;
	const last = Math.max(first + 1, lastValue.of(setting) ?? percent.last);
	const span = last - first;
	const step = Math.min(span, stepValue.of(setting) ?? (span === 100 ? usualStep : span));
	return { first, step, steps: Math.ceil(span / step) };
}

/** Squares that a scale's longest value takes, two at least. */
export function valueWidth({ hand }: Setting, { first, step, steps }: Scale): number {
	return Math.max(2, textWidth(String(first + steps * step), hand));
}

/** The unit of a scale in the squares beside its values; nothing where it has none, or where there are none. */
export function unitMarks({ content }: Setting, place: Rect): Mark[] {
	return content.unit && place.w > 0 ? [text(content.unit, place, 'hand', 'start')] : [];
}

/** Squares before the first value in a row of them. */
export function unitWidth(setting: Setting, scale: Scale & { readonly each: number }): number {
	const first = Math.min(
		...valuesAcross(setting, scale, scale.each, 0).flatMap((mark) =>
			mark.kind === 'text' ? [mark.x] : []
		)
	);
	return Math.min(first, dayLabelWidth + scale.each);
}

/** Values in a row over their lines, as many of them as do not touch, the last one always. */
export function valuesAcross(setting: Setting, scale: Scale, each: number, y: number): Mark[] {
	const { first, step, steps } = scale;
	const w = valueWidth(setting, scale);
	const every = Math.ceil(w / each);
	return Array.from({ length: steps }, (_, index) => index + 1)
		.filter((at) => (steps - at) % every === 0 && at * each >= w - dayLabelWidth)
		.map((at) => {
			const place = { x: dayLabelWidth + at * each - w, y, w, h: 1 };
			return text(String(first + at * step), place, 'figure');
		});
}

/** Values one above the other beside their lines, the last one on top, a row each. */
export function valuesUp(setting: Setting, scale: Scale, each: number, y: number): Mark[] {
	const { first, step, steps } = scale;
	const w = valueWidth(setting, scale);
	return Array.from({ length: steps }, (_, index) => index + 1).map((at) => {
		const place = { x: 0, y: y + (steps - at) * each, w, h: 1 };
		return text(String(first + at * step), place, 'figure', 'start');
	});
}
