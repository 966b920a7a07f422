import { passNames, type PassId } from './passes';

/** How much there is to do in a pass of a page. */
export interface Work {
	readonly strokes: number;
	readonly mm: number;
	readonly letters: number;
	readonly cm2: number;
}

export const noWork: Work = { strokes: 0, mm: 0, letters: 0, cm2: 0 };

/** Seconds for a pass: to begin with, and for each stroke, millimetre, letter and square centimetre. */
interface Pace extends Work {
	readonly start: number;
}

/** Usual hands, from memory of the trade; a person's own pace is learned from the guide's ticks. */
const usualPace: Readonly<Record<PassId, Pace>> = {
	cut: { ...noWork, start: 90 },
	pencil: { ...noWork, start: 20, letters: 5 },
	tint: { ...noWork, start: 30, strokes: 6, cm2: 4 },
	rule: { ...noWork, start: 20, strokes: 4, mm: 0.04 },
	letter: { ...noWork, start: 20, letters: 22 },
	write: { ...noWork, start: 10, letters: 1.1 },
	/** The person says how long one takes. */
	picture: { ...noWork, start: 0 },
	/** A stroke is a piece to print, cut out and paste. */
	paste: { ...noWork, start: 30, strokes: 120 },
	erase: { ...noWork, start: 40 },
	look: { ...noWork, start: 30 }
};

/** How a person's times compare to the usual ones: 1.5 takes half as long again. */
export type OwnPace = Readonly<Partial<Record<PassId, number>>>;

/** Whole seconds that a pass takes. */
export function secondsFor(pass: PassId, work: Work, own: OwnPace = {}): number {
	const { start, strokes, mm, letters, cm2 } = usualPace[pass];
	const usual =
		start + strokes * work.strokes + mm * work.mm + letters * work.letters + cm2 * work.cm2;
	return Math.max(1, Math.round(usual * (own[pass] ?? 1)));
}

/** A step that was ticked: the time it usually takes, without what begins its pass, and the time from tick to tick. */
export interface Ticked {
	readonly pass: PassId;
	readonly usual: number;
	readonly taken: number;
}

/** So many ticks are needed before they say something. */
export const fewestTicks = 8;

/**
 * A person's pace by their ticks: for each pass the median of taken ÷ usual, so that a pause, which is not work, moves it
 * no further than any other tick. Passes with too few ticks are left out.
 */
export function ownPace(ticks: readonly Ticked[]): OwnPace {
	const found: Partial<Record<PassId, number>> = {};
	for (const pass of passIds) {
		const ratios = ticks
			.filter((tick) => tick.pass === pass && tick.usual > 0)
			.map(({ usual, taken }) => taken / usual)
			.sort((a, b) => a - b);
		if (ratios.length < fewestTicks) continue;
		const middle = Math.floor(ratios.length / 2);
		const high = ratios[middle] ?? 1;
		found[pass] = ratios.length % 2 === 1 ? high : (high + (ratios[middle - 1] ?? high)) / 2;
	}
	return found;
}

const passIds: readonly PassId[] = Object.keys(passNames).filter(
	(pass): pass is PassId => pass in passNames
);
