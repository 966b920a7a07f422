/** What a cell looks like: the loss of light at places row by row, as many in each cell. */
export type CellPicture = Float64Array;

/** A cell of a tracker in which all cells are of a size. */
export interface PicturedCell {
	readonly picture: CellPicture;
	/** Cells that show the same date, if any is written. */
	readonly day: number | undefined;
	/** Whether it can be seen well enough to learn from it. */
	readonly isPlain: boolean;
}

/** Where the date of a day is not known from its cells, it is taken for the usual one, as if so many cells said so. */
const usualCounts = 2;
const rounds = 4;

/** How surely cells show a mark, and how much of their pictures that leaves unexplained. */
export interface Alike {
	readonly sure: readonly number[];
	readonly unlike: number;
}

/** A mark is so dark where it is darkest; chance alone leaves less. */
const leastPeak = 0.1;
/** Cells with the mark show as much of it, but for so much; cells without it, but for so much. */
const mostSpread = { marked: 0.22, empty: 0.15 };

/**
 * How surely each cell is filled in: above 0 where it is, 0.5 where it shows just the usual mark more than its day's other
 * cells, -0.5 where it shows none of it. The marks of one hand look alike, and so do the dates of a day: both are learned from the cells
 * themselves, from a first guess on, each with the other taken away (least squares in turn; for each day the number of filled cells that explains
 * its pictures best). Undefined where that parts the cells in no two plain groups: all are filled in, or none is.
 */
export function marksAlike(
	cells: readonly PicturedCell[],
	guess: readonly boolean[]
): Alike | undefined {
	const days = daysOf(cells);
	let filled = [...guess];
	let usual = new Map<number, CellPicture>();
	const of = (is: boolean) =>
		cells.flatMap((cell, at) => (cell.isPlain && filled[at] === is ? [at] : []));
	if (of(true).length === 0 || of(false).length === 0) return undefined;
	const pictureOf = (at: number) => cells[at]?.picture ?? new Float64Array();
	for (const { figures } of days)
		if (!usual.has(figures)) {
			const like = days.filter((day) => day.figures === figures).flatMap((day) => day.cells);
			const empty = like.filter((at) => cells[at]?.isPlain && !filled[at]);
			usual.set(figures, meanOf((empty.length > 0 ? empty : of(false)).map(pictureOf)));
		}
	let dates = days.map(({ cells: own, figures }) =>
		dateOf(own.filter((at) => cells[at]?.isPlain && !filled[at]).map(pictureOf), usual.get(figures))
	);
	let mark: CellPicture = new Float64Array();
	let unlike = 0;
	for (let round = 0; round < rounds; round++) {
		const marked = days.flatMap(({ cells: own }, day) =>
			own.flatMap((at) =>
				filled[at] && cells[at]?.isPlain ? [less(pictureOf(at), dates[day])] : []
			)
		);
		if (marked.length === 0) return undefined;
		mark = meanOf(marked);
		const next = [...filled];
		unlike = 0;
		dates = days.map(({ cells: own, plain, figures }, day) => {
			const ordered = plain.toSorted(
				(a, b) => along(pictureOf(b), mark, dates[day]) - along(pictureOf(a), mark, dates[day])
			);
			const best = bestSplit(ordered.map(pictureOf), mark, usual.get(figures));
			for (const at of own)
				next[at] = ordered.includes(at) ? ordered.indexOf(at) < best.marks : (filled[at] ?? false);
			unlike += best.cost;
			return best.date;
		});
		filled = next;
		usual = new Map(
			[...usual.keys()].map((figures) => [
				figures,
				middleOf(dates.filter((_, day) => days[day]?.figures === figures))
			])
		);
	}
	const whole = dot(mark, mark);
	if (Math.max(...mark) < leastPeak) return undefined;
	const sure = cells.map(() => 0);
	days.forEach(({ cells: own }, day) => {
		for (const at of own) sure[at] = along(pictureOf(at), mark, dates[day]) / whole - 0.5;
	});
	const plain = sure.filter((_, at) => cells[at]?.isPlain);
	const isPlain =
		spreadOf(plain.filter((one) => one > 0)) <= mostSpread.marked &&
		spreadOf(plain.filter((one) => one <= 0)) <= mostSpread.empty;
	return isPlain ? { sure, unlike } : undefined;
}

/** Cells that share a date, and how many figures that has. */
interface Day {
	readonly figures: number;
	readonly cells: readonly number[];
	/** Those that can be seen; all of them where none can. */
	readonly plain: readonly number[];
}

function daysOf(cells: readonly PicturedCell[]): Day[] {
	const byDay = new Map<string, number[]>();
	cells.forEach(({ day }, at) => {
		const key = day === undefined ? `cell ${at}` : `day ${day}`;
		byDay.set(key, [...(byDay.get(key) ?? []), at]);
	});
	return [...byDay.values()].map((own) => {
		const day = cells[own[0] ?? 0]?.day;
		const plain = own.filter((at) => cells[at]?.isPlain);
		return {
			figures: day === undefined ? 0 : String(day).length,
			cells: own,
			plain: plain.length > 0 ? plain : own
		};
	});
}

interface Split {
	readonly marks: number;
	readonly date: CellPicture;
	readonly cost: number;
}

/** How many of a day's cells, from the one most like a mark on, are best taken for filled in, and what stands in all of them. */
function bestSplit(
	ordered: readonly CellPicture[],
	mark: CellPicture,
	usual: CellPicture | undefined
): Split {
	let best: Split | undefined;
	for (let marks = 0; marks <= ordered.length; marks++) {
		const bare = ordered.map((picture, at) => (at < marks ? less(picture, mark) : picture));
		const date = dateOf(bare, usual);
		const off = bare.reduce((sum, one) => sum + apart(one, date), 0);
		const cost = off + (usual ? usualCounts * apart(date, usual) : 0);
		if (!best || cost < best.cost) best = { marks, date, cost };
	}
	return best ?? { marks: 0, date: usual ?? new Float64Array(), cost: 0 };
}

function dateOf(bare: readonly CellPicture[], usual: CellPicture | undefined): CellPicture {
	return meanOf(usual ? [...bare, ...Array.from({ length: usualCounts }, () => usual)] : bare);
}

function meanOf(pictures: readonly CellPicture[]): CellPicture {
	const [first = new Float64Array()] = pictures;
	return first.map(
		(_, at) => pictures.reduce((sum, one) => sum + (one[at] ?? 0), 0) / pictures.length
	);
}

function middleOf(pictures: readonly CellPicture[]): CellPicture {
	const [first = new Float64Array()] = pictures;
	return first.map((own, at) => {
		const sorted = pictures.map((one) => one[at] ?? 0).sort((a, b) => a - b);
		return sorted[sorted.length >> 1] ?? own;
	});
}

const less = (picture: CellPicture, other: CellPicture | undefined) =>
	picture.map((own, at) => own - (other?.[at] ?? 0));

const dot = (a: CellPicture, b: CellPicture) =>
	a.reduce((sum, own, at) => sum + own * (b[at] ?? 0), 0);

/** How much of a mark a picture shows beside its date. */
const along = (picture: CellPicture, mark: CellPicture, date: CellPicture | undefined) =>
	dot(less(picture, date), mark);

const apart = (a: CellPicture, b: CellPicture) =>
	a.reduce((sum, own, at) => sum + (own - (b[at] ?? 0)) ** 2, 0);

function spreadOf(values: readonly number[]): number {
	const mean = values.reduce((sum, one) => sum + one, 0) / values.length;
	return Math.sqrt(values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / values.length);
}
