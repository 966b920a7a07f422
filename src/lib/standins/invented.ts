import type { FieldMark } from '$lib/core/draw';
import { spanOf, timesText } from '$lib/core/records';

/** What somebody may have filled into a field, by a number of 0 to 1; nothing where words are written. */
export function invented(field: FieldMark, random: () => number): string {
	const { holds, levels = [], scale } = field;
	const [one, other] = [random(), random()];
	if (holds === 'mark' || holds === 'tick') return one < 0.65 ? 'x' : '';
	if (holds === 'level') return one < 0.08 ? '' : String(1 + Math.floor(other * levels.length));
	if (!scale) return '';
	if (holds === 'number')
		return String(Math.round(scale.from + scale.per * scale.squares * (0.15 + 0.7 * one)));
	if (holds !== 'times') return '';
	const from = scale.squares * (0.08 + 0.2 * one);
	const to = Math.min(scale.squares - 1, from + scale.squares * (0.3 + 0.15 * other));
	const fives = (span: { from: number; to: number }) => ({
		from: Math.round(span.from / 5) * 5,
		to: Math.round(span.to / 5) * 5
	});
	return timesText([fives(spanOf(scale, { from, to }))]);
}
