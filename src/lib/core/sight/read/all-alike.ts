import type { Filled } from './cells';
import type { CellPicture, PicturedCell } from './marks-alike';

/** Days differ so many times as much as chance lets them where a date is written in each. */
const datedFrom = 2;
/**
 * What cells that are alike show where it is darkest: with less they are empty, with more they are filled in. Dates may be as dark as
 * a thin mark: what is between is asked. Figures from trials with simulated photographs.
 */
const peaks = { plain: { empty: 0.06, filled: 0.13 }, dated: { empty: 0.35, filled: 0.6 } };
/**
 * A cell that is so many times as unlike the others of its day as the middle one, and by so much, may be something else: marks
 * are less alike than dates.
 */
const odd = { empty: 2.5, filled: 4, least: 0.001 };

/** Cells of which all are filled in, or none is; those that are unlike the others of their day are doubtful. */
export function allAlike(cells: readonly PicturedCell[], isNumbered: boolean): Filled[] {
	const seen = cells.filter(({ isPlain }) => isPlain);
	const plain = seen.length > 0 ? seen : cells;
	const days = new Map<number | undefined, PicturedCell[]>();
	for (const cell of plain) days.set(cell.day, [...(days.get(cell.day) ?? []), cell]);
	const means = new Map([...days].map(([day, own]) => [day, meanOf(own)]));
	const usual = meanOf(plain);
	const peak = usual.reduce((most, one) => Math.max(most, one), 0);
	const off = cells.map(({ day, picture }) => apart(picture, means.get(day) ?? usual));
	const within = plain.reduce(
		(sum, { day, picture }) => sum + apart(picture, means.get(day) ?? usual),
		0
	);
	const between = [...days].reduce(
		(sum, [day, own]) => sum + own.length * apart(means.get(day) ?? usual, usual),
		0
	);
	const ratio = between / (days.size - 1) / (within / (plain.length - days.size));
	const isDated = isNumbered || (days.size > 1 && plain.length > days.size && ratio >= datedFrom);
	const bounds = isDated ? peaks.dated : peaks.plain;
	const is: Filled = peak <= bounds.empty ? 'empty' : peak >= bounds.filled ? 'filled' : 'doubtful';
	const middle = off.toSorted((a, b) => a - b)[off.length >> 1] ?? 0;
	const most = Math.max(odd.least, (is === 'filled' ? odd.filled : odd.empty) * middle);
	return off.map((own) => (own > most ? 'doubtful' : is));
}

function meanOf(cells: readonly PicturedCell[]): CellPicture {
	const [first] = cells;
	const sum = (first?.picture ?? new Float64Array()).map((_, at) =>
		cells.reduce((sum, { picture }) => sum + (picture[at] ?? 0), 0)
	);
	return sum.map((one) => one / cells.length);
}

/** Mean square of how far two pictures are apart. */
const apart = (a: CellPicture, b: CellPicture) =>
	a.reduce((sum, own, at) => sum + (own - (b[at] ?? 0)) ** 2, 0) / a.length;
