/** Something that is done in one sitting. */
export interface Piece {
	readonly seconds: number;
	/** The last sitting in which it is in time; -1 where none is. */
	readonly latest: number;
	/** Earlier pieces that must be done in the same sitting or before it. */
	readonly after?: readonly number[];
	/** The only sitting that a person wants it in. */
	readonly only?: number;
}

/** Pieces with their sittings, and how good that is. */
export interface Seated {
	/** The sitting of each piece; undefined where none has room for it. */
	readonly at: readonly (number | undefined)[];
	readonly proven: boolean;
}

/** Without a place, late, sittings taken: the first counts most. */
type Cost = readonly [unplaced: number, late: number, used: number];

const mostNodes = 50_000;

function costOf(pieces: readonly Piece[], at: readonly (number | undefined)[]): Cost {
	const placed = at.filter((sitting) => sitting !== undefined);
	return [
		pieces.length - placed.length,
		pieces.filter(({ latest }, piece) => (at[piece] ?? -1) > latest).length,
		new Set(placed).size
	];
}

function less(a: Cost, b: Cost): boolean {
	const at = a.findIndex((value, index) => value !== b[index]);
	return at >= 0 && (a[at] ?? 0) < (b[at] ?? 0);
}

/**
 * Gives pieces of work to sittings with so many seconds each: as few as possible stay without a place, then as few as
 * possible are late, then as few sittings as possible are taken; of equal ways one that begins early. Pieces come in the
 * order in which they are needed. Exact by depth-first search with bounds, as far as it is carried.
 */
export function seat(pieces: readonly Piece[], rooms: readonly number[]): Seated {
	const largest = Math.max(1, ...rooms);
	const left = [...rooms];
	const at: (number | undefined)[] = [];
	let best: { cost: Cost; at: readonly (number | undefined)[] } | undefined;
	let nodes = 0;
	const chosen = pieces.some(({ only }) => only !== undefined);
	const later = pieces.map((_, from) =>
		pieces.slice(from).reduce((sum, { seconds }) => sum + (seconds > largest ? 0 : seconds), 0)
	);

	/** No way on from here costs less. */
	const boundOf = (done: number): Cost => {
		const [unplaced, late, used] = costOf(pieces.slice(0, done), at);
		const open = new Set(at);
		const free = left.reduce((sum, room, sitting) => (open.has(sitting) ? sum + room : sum), 0);
		const more = Math.ceil(Math.max(0, (later[done] ?? 0) - free) / largest);
		// What has no place needs no sitting either.
		return best && best.cost[0] > unplaced ? [unplaced, 0, 0] : [unplaced, late, used + more];
	};
	const visit = (piece: number): void => {
		if (piece === pieces.length) {
			const cost = costOf(pieces, at);
			if (!best || less(cost, best.cost)) best = { cost, at: [...at] };
			return;
		}
		const wanted = pieces[piece];
		if (!wanted || nodes >= mostNodes) return;
		if (best && !less(boundOf(piece), best.cost)) return;
		nodes++;
		const befores = (wanted.after ?? []).map((other) => at[other]);
		const first = befores.reduce<number | undefined>(
			(latest, sitting) =>
				latest === undefined || sitting === undefined ? undefined : Math.max(latest, sitting),
			0
		);
		const fitting =
			first === undefined
				? []
				: [...left.keys()].filter(
						(sitting) =>
							sitting >= first &&
							sitting === (wanted.only ?? sitting) &&
							(left[sitting] ?? 0) >= wanted.seconds
					);
		// Sittings that are begun, then the first other one that is in time, then those after it.
		const open = new Set(at);
		const intime = (sitting: number) => (sitting <= wanted.latest ? 0 : 1);
		fitting.sort(
			(a, b) => intime(a) - intime(b) || Number(!open.has(a)) - Number(!open.has(b)) || a - b
		);
		// Of sittings that nobody has begun, are as long, and in time, the first serves as well as the others: what is needed
		// later comes later. Where a person chose sittings they differ.
		const fresh = new Set<number>();
		const tried = fitting.filter((sitting) => {
			if (chosen || open.has(sitting) || sitting > wanted.latest || wanted.after !== undefined)
				return true;
			const room = rooms[sitting] ?? 0;
			return !fresh.has(room) && Boolean(fresh.add(room));
		});
		for (const sitting of tried) {
			at[piece] = sitting;
			left[sitting] = (left[sitting] ?? 0) - wanted.seconds;
			visit(piece + 1);
			left[sitting] = (left[sitting] ?? 0) + wanted.seconds;
			at.length = piece;
		}
		at[piece] = undefined;
		visit(piece + 1);
		at.length = piece;
	};
	visit(0);
	return { at: best?.at ?? pieces.map(() => undefined), proven: nodes < mostNodes };
}
