import type { FieldMark } from '../../draw';
import type { Rect } from '../../paper';
import { allAlike } from './all-alike';
import { marksAlike, type CellPicture, type PicturedCell } from './marks-alike';
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
	/** The loss of light by places, each with those around it: nobody makes a mark twice in the same place. */
	readonly picture: CellPicture;
}

/** The part of a cell that is looked at, for how dark it is and for what it shows: lines and what reaches over them stay out. */
const [inner, shown] = [0.72, 0.88];
const [looks, across, mostAcross] = [9, 11, 44];
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
	const squares = squaresOf(rect);
	return {
		darkness: seen > 0 ? sum / seen : 0,
		blind: blind / (looks * looks),
		isEven: squares.every(([x, y]) => white.isEven(x, y)),
		isGlaring: squares.some(([x, y]) => white.isGlaring(x, y)),
		picture: pictureOf(picture, place, white, rect)
	};
}

/** The middles of a rectangle's squares. */
function squaresOf({ x, y, w, h }: Rect): (readonly [x: number, y: number])[] {
	const [across, down] = [Math.ceil(w), Math.ceil(h)];
	return Array.from({ length: across * down }, (_, at) => [
		x + (w * ((at % across) + 0.5)) / across,
		y + (h * (Math.floor(at / across) + 0.5)) / down
	]);
}

function pictureOf(picture: Picture, place: PlaceOf, white: White, rect: Rect): CellPicture {
	const side = Math.min(rect.w, rect.h);
	const looksAlong = (long: number) => Math.round(Math.min(mostAcross, (across * long) / side));
	const [columns, rows] = [looksAlong(rect.w), looksAlong(rect.h)];
	// A stroke is as thin in a large cell as in a small one, and must not slip through.
	const each = Math.ceil(side);
	const part = (at: number, of: number) => 0.5 + shown * ((at + 0.5) / of - 0.5);
	const lossAt = (column: number, row: number) => {
		const x = rect.x + rect.w * part(column, columns * each);
		const y = rect.y + rect.h * part(row, rows * each);
		const spot = place(x, y);
		const colour = colourAt(picture, spot.x, spot.y);
		return colour ? lossOf(colour, white.at(x, y)) : 0;
	};
	const losses = new Float64Array(columns * rows);
	for (let row = 0; row < rows * each; row++)
		for (let column = 0; column < columns * each; column++) {
			const at = Math.floor(row / each) * columns + Math.floor(column / each);
			losses[at] = (losses[at] ?? 0) + lossAt(column, row) / each ** 2;
		}
	const within = (at: number, of: number) => Math.min(of - 1, Math.max(0, at));
	return losses.map((_, at) => {
		const [column, row] = [at % columns, Math.floor(at / columns)];
		let sum = 0;
		for (const dx of [-1, 0, 1])
			for (const dy of [-1, 0, 1])
				sum += losses[within(row + dy, rows) * columns + within(column + dx, columns)] ?? 0;
		return sum / 9;
	});
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
/** So much less or more than half of the usual mark is doubtful. */
const sureFrom = 0.2;

/**
 * Which cells are filled in, a tracker's cells of a size together: by the mark that those of them have in common which are filled
 * in; where there are no two groups, all are, or none is. Dates may be written there or not, whatever the plan says.
 */
export function filledIn(cells: readonly Cell[]): Filled[] {
	const filled: Filled[] = cells.map(() => 'doubtful');
	for (const group of groupsOf(cells)) {
		const own = group.map((at) => seenIn(cells[at]));
		const isNumbered = group.some((at) => cells[at]?.isNumbered);
		const found = byMark(own, isNumbered) ?? allAlike(own, isNumbered);
		group.forEach((at, place) => {
			const looks = cells[at]?.looks;
			filled[at] = looks ? asSeen(looks, found[place] ?? 'doubtful') : 'doubtful';
		});
	}
	return filled;
}

/** What a cell that seems so is taken for: what hides something makes an empty one doubtful, an edge of a shadow any. */
function asSeen({ isEven, isGlaring, blind }: Looks, is: Filled): Filled {
	if (!isEven) return 'doubtful';
	return is === 'empty' && (isGlaring || blind > mostBlind) ? 'doubtful' : is;
}

/** Cells of one tracker and of one size, with figures of the plan or without, by their places. */
function groupsOf(cells: readonly Cell[]): number[][] {
	const groups = new Map<string, number[]>();
	cells.forEach(({ tracker, field: { w, h }, isNumbered }, at) => {
		const key = [tracker, w, h, isNumbered].join(' ');
		groups.set(key, [...(groups.get(key) ?? []), at]);
	});
	return [...groups.values()];
}

/** A cell as it is compared with others. */
type SeenCell = PicturedCell & Pick<Looks, 'darkness'>;

const seenIn = (cell: Cell | undefined): SeenCell => ({
	picture: cell?.looks.picture ?? new Float64Array(),
	darkness: cell?.looks.darkness ?? 0,
	day: cell?.field.about.day,
	isPlain: cell !== undefined && isPlain(cell.looks)
});

/** Whether nothing is in the way of seeing what it shows. */
const isPlain = ({ blind, isEven, isGlaring }: Looks) => isEven && !isGlaring && blind <= mostBlind;

/** So many cells at least, or this share of them, are guessed to be the only ones that are filled in, or empty. */
const few = { least: 3, share: 0.06 };
/** The middle one of empty cells without dates is lighter than this; a figure adds so much. */
const lightest = { plain: 0.045, figure: 0.05 };

/** Cells by the mark that those of them have in common which are filled in; undefined where they are in no two groups. */
function byMark(own: readonly SeenCell[], isNumbered: boolean): Filled[] | undefined {
	const beside = besideDays(own);
	const sorted = plainOf(own, beside);
	const some = Math.min(
		sorted.length - 1,
		Math.max(few.least, Math.round(few.share * sorted.length))
	);
	// Half of them filled in, hardly any, or nearly all: learning goes to what is near.
	const learned = [halfOf(sorted), sorted.at(-some), sorted[some]].flatMap((cut = Infinity) => {
		const guess = beside.map((dark) => dark >= cut);
		const found = marksAlike(own, guess);
		if (!found) return [];
		const empty = own.filter(({ day }, at) => day === undefined && (found.sure[at] ?? 1) <= 0);
		const most = lightest.plain + (isNumbered ? lightest.figure : 0);
		return middle(empty.map(({ darkness }) => darkness).sort((a, b) => a - b)) < most
			? [found]
			: [];
	});
	const [best] = learned.toSorted((a, b) => a.unlike - b.unlike);
	return best?.sure.map((one) =>
		one <= -sureFrom ? 'empty' : one >= sureFrom ? 'filled' : 'doubtful'
	);
}

/** Values of those cells that can be seen, or of all where none can, from the least. */
function plainOf(own: readonly PicturedCell[], values: readonly number[]): number[] {
	const plain = values.filter((_, at) => own[at]?.isPlain);
	return (plain.length > 0 ? plain : [...values]).sort((a, b) => a - b);
}

/** How much darker cells are than the middle one of their day. */
function besideDays(own: readonly SeenCell[]): number[] {
	const middles = new Map<number | undefined, number>();
	for (const { day } of own) {
		if (middles.has(day)) continue;
		const like = own.filter((one) => one.day === day);
		middles.set(
			day,
			middle(
				plainOf(
					like,
					like.map(({ darkness }) => darkness)
				)
			)
		);
	}
	return own.map(({ day, darkness }) => darkness - (middles.get(day) ?? 0));
}

/** From where on values are in the upper one of the two groups that spread least (Otsu 1979). */
function halfOf(sorted: readonly number[]): number | undefined {
	const total = sorted.reduce((sum, one) => sum + one, 0);
	let best = { between: 0, at: sorted.length };
	let below = 0;
	for (let at = 1; at < sorted.length; at++) {
		below += sorted[at - 1] ?? 0;
		const apart = (total - below) / (sorted.length - at) - below / at;
		const between = at * (sorted.length - at) * apart ** 2;
		if (between > best.between) best = { between, at };
	}
	return sorted[best.at];
}

const middle = (sorted: readonly number[]) => sorted[sorted.length >> 1] ?? 0;
