import type { FieldMark } from '../../draw';
import type { Rect } from '../../paper';
import { colourAt, lossOf, type Picture, type PlaceOf, type White } from '../picture/colour';

/** How a field of the page looks in the picture. */
export interface Looks {
	/** Mean loss of light over its inner part, 0 to 1. */
	readonly darkness: number;
	/** Share of it that is glaring or out of the picture. */
	readonly blind: number;
	readonly isEven: boolean;
	/** Whether something is mirrored there: what is dark is a mark all the same, what is light may hide one. */
	readonly isGlaring: boolean;
}

/** The part of a cell that is looked at: lines and what reaches over them stay out. */
const inner = 0.72;
const looks = 9;
/** Brighter than this, of 255, is glare: nothing is seen there. */
const glare = 250;

/** How a rectangle of the page looks. */
export function looksOf(picture: Picture, place: PlaceOf, white: White, rect: Rect): Looks {
	let [sum, seen, blind] = [0, 0, 0];
	for (let i = 0; i < looks * looks; i++) {
		const x = rect.x + rect.w * (0.5 + inner * (((i % looks) + 0.5) / looks - 0.5));
		const y = rect.y + rect.h * (0.5 + inner * ((Math.floor(i / looks) + 0.5) / looks - 0.5));
		const spot = place(x, y);
		const colour = colourAt(picture, spot.x, spot.y);
		if (!colour || Math.min(...colour) > glare) blind += 1;
		if (!colour) continue;
		seen += 1;
		sum += lossOf(colour, white.at(x, y));
	}
	const middleOf = [rect.x + rect.w / 2, rect.y + rect.h / 2] as const;
	return {
		darkness: seen > 0 ? sum / seen : 0,
		blind: blind / (looks * looks),
		isEven: white.isEven(...middleOf),
		isGlaring: white.isGlaring(...middleOf)
	};
}

/** A cell that holds a mark or none, and how it looks. */
export interface Cell {
	/** What is filled in together by one hand: a tracker. */
	readonly tracker: string;
	readonly field: FieldMark;
	/** A figure or word of the plan stands in it, which is no date. */
	readonly isNumbered: boolean;
	readonly looks: Looks;
}

export type Filled = 'filled' | 'empty' | 'doubtful';

/** More of a cell than this that cannot be seen makes it doubtful. */
const mostBlind = 0.25;

/**
 * Which cells are filled in. A date that is written there is reckoned from the cells of the same day on the page, never from
 * the plan: people write them or not. Then a tracker's cells of a size part at their widest gap, or by fixed bounds where there is
 * none.
 */
export function filledIn(cells: readonly Cell[]): Filled[] {
	const dates = datesIn(cells);
	const dark = cells.map((cell, at) => cell.looks.darkness - (dates[at] ?? 0));
	const groupOf = ({ tracker, field: { w, h }, isNumbered }: Cell) =>
		[tracker, w, h, isNumbered].join(' ');
	const bounds = new Map<string, Bounds>();
	for (const cell of cells) {
		const group = groupOf(cell);
		if (bounds.has(group)) continue;
		const own = cells.flatMap((other, at) =>
			groupOf(other) === group ? [{ dark: dark[at] ?? 0, isPlain: isPlain(other.looks) }] : []
		);
		const plain = own.filter((one) => one.isPlain);
		bounds.set(
			group,
			boundsOf(
				(plain.length > 0 ? plain : own).map((one) => one.dark),
				cell
			)
		);
	}
	return cells.map((cell, at): Filled => {
		const { looks } = cell;
		const { empty, filled } = bounds.get(groupOf(cell)) ?? { empty: 0, filled: 1 };
		const own = dark[at] ?? 0;
		if (!looks.isEven) return 'doubtful';
		if (looks.isGlaring || looks.blind > mostBlind) return own >= filled ? 'filled' : 'doubtful';
		return own <= empty ? 'empty' : own >= filled ? 'filled' : 'doubtful';
	});
}

/** Whether nothing is in the way of seeing how dark it is. */
const isPlain = ({ blind, isEven, isGlaring }: Looks) => isEven && !isGlaring && blind <= mostBlind;

interface Bounds {
	/** Up to here a cell is empty, from there on it is filled in. */
	readonly empty: number;
	readonly filled: number;
}

/** Figures from trials with simulated photographs. */
const gap = { least: 0.02, share: 0.5, groups: 0.08, lower: 0.045 };
/** A figure that stands in a cell adds at most so much. */
const figure = 0.05;

function boundsOf(values: readonly number[], { field: { w, h }, isNumbered }: Cell): Bounds {
	// A mark is about as large as the cell's shorter side: of a long cell it covers a smaller share.
	const covers = Math.min(w, h) / Math.max(w, h);
	const lower = gap.lower + (isNumbered ? figure : 0);
	const sorted = values.toSorted((a, b) => a - b);
	let widest = { at: 0, wide: 0 };
	for (let at = 1; at < sorted.length; at++) {
		const wide = (sorted[at] ?? 0) - (sorted[at - 1] ?? 0);
		if (wide > widest.wide) widest = { at, wide };
	}
	const [below, above] = [sorted.slice(0, widest.at), sorted.slice(widest.at)];
	const apart = middle(above) - middle(below);
	if (
		below.length > 0 &&
		widest.wide >= Math.max(covers * gap.least, gap.share * apart) &&
		apart >= covers * gap.groups &&
		middle(below) < lower
	) {
		// What lies in the outer thirds of the gap is near enough to its group.
		const [from, to] = [below.at(-1) ?? 0, above[0] ?? 0];
		return { empty: from + (to - from) / 3, filled: to - (to - from) / 3 };
	}
	const parted = partedIn(sorted, covers * groups.apart, lower);
	if (parted) return parted;
	if ((sorted.at(-1) ?? 0) <= 0.08) return { empty: 0.08, filled: 0.08 };
	if ((sorted[0] ?? 0) >= 0.05) return { empty: 0, filled: 0.05 };
	return { empty: 0.03, filled: 0.08 };
}

/** Two groups that overlap in no gap: their means so far apart, and so many times as far as they spread. */
const groups = { apart: 0.06, spreads: 2.2, doubt: 0.14 };

/** Bounds between the two groups that spread least (Otsu's cut), where they are plainly two. */
function partedIn(
	sorted: readonly number[],
	leastApart: number,
	lower: number
): Bounds | undefined {
	let best: { below: readonly number[]; above: readonly number[]; between: number } | undefined;
	for (let at = 1; at < sorted.length; at++) {
		const [below, above] = [sorted.slice(0, at), sorted.slice(at)];
		const between = below.length * above.length * (mean(above) - mean(below)) ** 2;
		if (!best || between > best.between) best = { below, above, between };
	}
	if (!best) return undefined;
	const [low, high] = [mean(best.below), mean(best.above)];
	const apart = high - low;
	const isTwo =
		apart >= leastApart &&
		low < lower &&
		apart >= groups.spreads * (spread(best.below) + spread(best.above));
	const doubt = groups.doubt * apart;
	return isTwo ? { empty: (low + high) / 2 - doubt, filled: (low + high) / 2 + doubt } : undefined;
}

const mean = (values: readonly number[]) =>
	values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);

function spread(values: readonly number[]): number {
	const own = mean(values);
	return Math.sqrt(mean(values.map((one) => (one - own) ** 2)));
}

/** A written date is at most so dark, and at most and at least so many times what a light cell with as many figures is. */
const date = { most: 0.2, times: 1.5, least: 0.6, more: 0.01 };

/** How dark each cell's date is: the mean of the two lightest cells of its day, held near that of light cells on the page. */
function datesIn(cells: readonly Cell[]): number[] {
	const light = new Map<number, number>();
	const figures = ({ field }: Cell) => String(field.about.day ?? 0).length;
	for (const count of [1, 2]) {
		const own = cells.filter((cell) => figures(cell) === count).map(({ looks }) => looks.darkness);
		light.set(count, own.toSorted((a, b) => a - b)[Math.floor(own.length / 8)] ?? 0);
	}
	const byDay = new Map<number, number[]>();
	for (const { field, looks } of cells) {
		const { day } = field.about;
		if (day !== undefined) byDay.set(day, [...(byDay.get(day) ?? []), looks.darkness]);
	}
	return cells.map((cell) => {
		const { day } = cell.field.about;
		if (day === undefined) return 0;
		const [first = 0, second = first] = (byDay.get(day) ?? []).sort((a, b) => a - b);
		const usual = Math.min(date.most, light.get(figures(cell)) ?? 0);
		return Math.min(
			date.times * usual + date.more,
			Math.max(date.least * usual, (first + second) / 2)
		);
	});
}

const middle = (sorted: readonly number[]) => sorted[sorted.length >> 1] ?? 0;
