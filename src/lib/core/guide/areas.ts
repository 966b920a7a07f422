import type { TintMark } from '../draw';
import type { Hand } from '../hand';
import type { Rect } from '../paper';
import { furthest } from './place';
import type { Repeat } from './steps';

/** An area of one colour, and others like it below at equal distances. */
export interface Area {
	readonly first: TintMark;
	readonly repeat?: Repeat;
}

/**
 * Tints as a hand lays them on: what lies together in one colour in one go, not cell by cell, and areas of equal size below
 * each other as a series, from the top down and away from the hand that writes. (Common practice.)
 */
export function areasOf(tints: readonly TintMark[], writes: Hand['writes'] = 'right'): Area[] {
	const down = joined(tints, 'y', 'h', 'x', 'w');
	const away = writes === 'left' ? -1 : 1;
	return series(joined(down, 'x', 'w', 'y', 'h')).toSorted(
		(a, b) => a.first.y - b.first.y || away * (a.first.x - b.first.x)
	);
}

type Side = keyof Rect;

/** Areas of one colour that continue each other along one way. */
function joined(
	tints: readonly TintMark[],
	at: Side,
	length: Side,
	across: Side,
	width: Side
): TintMark[] {
	const found: TintMark[] = [];
	for (const tint of tints.toSorted((a, b) => a[across] - b[across] || a[at] - b[at])) {
		const last = found.at(-1);
		const continues =
			last?.tone === tint.tone &&
			last[across] === tint[across] &&
			last[width] === tint[width] &&
			last[at] + last[length] === tint[at];
		if (last && continues)
			found[found.length - 1] = { ...last, [length]: last[length] + tint[length] };
		else found.push(tint);
	}
	return found;
}

function series(tints: readonly TintMark[]): Area[] {
	const runs: Area[] = [];
	const order = tints.toSorted(
		(a, b) => a.x - b.x || a.w - b.w || a.h - b.h || a.tone.localeCompare(b.tone) || a.y - b.y
	);
	for (const tint of order) {
		const last = runs.at(-1);
		const { times = 0, every = 0 } = last?.repeat ?? {};
		const distance = last ? tint.y - last.first.y - every * times : Infinity;
		const alike =
			last && (['x', 'w', 'h', 'tone'] as const).every((side) => last.first[side] === tint[side]);
		if (last && alike && distance <= furthest && (times === 0 || distance === every))
			runs[runs.length - 1] = {
				first: last.first,
				repeat: { times: times + 1, every: distance, direction: 'down' }
			};
		else runs.push({ first: tint });
	}
	return runs;
}
