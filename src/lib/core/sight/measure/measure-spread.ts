import type { Notebook } from '../../paper';
import { median } from '../grid/warp';
import type { Grey } from '../picture/image';
import { measurePage, type MeasuredPage, type Measuring, type NotMeasured } from './measure-page';

/** Both pages of an open spread as they were measured in one picture. */
export interface MeasuredSpread {
	readonly left: MeasuredPage;
	readonly right: MeasuredPage;
}

/** The rows and columns of the picture, as shares of it, in which the fold is looked for. */
const [rows, columns] = [
	[0.35, 0.65],
	[0.34, 0.66]
] as const;
/** The fold is so much darker, of 255, than the paper so far beside it, as a share of the picture's width. */
const [leastDark, beside] = [5, 0.03];

/**
 * Both pages of an open spread in a picture, in grey and upright: parted at the fold, each measured by its own dots, so that no
 * lattice runs over it.
 */
export function measureSpread(
	picture: Grey,
	pageMm: Notebook['pageMm'],
	{ perMm, progress = () => undefined }: Measuring = {}
): MeasuredSpread | NotMeasured {
	const fold = foldIn(picture);
	if (fold === undefined)
		return {
			says: 'The fold is not to be seen. Lay the open book so that its fold runs upright through the middle of the picture.'
		};
	const left = measurePage(part(picture, 0, fold), 'left', pageMm, {
		perMm,
		progress: (share) => progress(share / 2)
	});
	if ('says' in left) return { says: `The left page: ${left.says}` };
	const right = measurePage(part(picture, fold, picture.width), 'right', pageMm, {
		perMm,
		progress: (share) => progress(0.5 + share / 2)
	});
	if ('says' in right) return { says: `The right page: ${right.says}` };
	const { at } = right.warp;
	return {
		left,
		right: {
			...right,
			dots: right.dots.map(({ x, y }) => ({ x: x + fold, y })),
			warp: {
				...right.warp,
				at: (column, row) => ({ x: at(column, row).x + fold, y: at(column, row).y })
			}
		}
	};
}

/** The column of the darkest line down the middle; undefined where none is darker than the paper beside it. */
function foldIn({ width, height, light }: Grey): number | undefined {
	const [top, bottom] = [Math.round(rows[0] * height), Math.round(rows[1] * height)];
	const [from, to] = [Math.round(columns[0] * width), Math.round(columns[1] * width)];
	const lightOf = (column: number) => {
		const seen: number[] = [];
		for (let row = top; row < bottom; row += 3) seen.push(light[row * width + column] ?? 0);
		return median(seen);
	};
	const away = Math.round(beside * width);
	const all = Array.from({ length: to - from + 2 * away }, (_, at) => lightOf(from - away + at));
	let best: { column: number; dark: number } | undefined;
	for (let column = from; column < to; column++) {
		const at = column - from + away;
		const dark = Math.min(all[at - away] ?? 0, all[at + away] ?? 0) - (all[at] ?? 0);
		if (dark >= leastDark && (!best || dark > best.dark)) best = { column, dark };
	}
	return best?.column;
}

/** The columns of a picture from one to before another. */
function part({ width, height, light }: Grey, from: number, to: number): Grey {
	const own = new Float32Array((to - from) * height);
	for (let row = 0; row < height; row++)
		own.set(light.subarray(row * width + from, row * width + to), row * (to - from));
	return { width: to - from, height, light: own };
}
