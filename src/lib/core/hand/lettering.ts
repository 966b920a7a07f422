/** Drawn capitals of one size, each letter a box of whole squares. */
export interface Lettering {
	/** Width of a letter. */
	readonly letter: number;
	/** Squares between letters. */
	readonly gap: number;
	/** Squares from the first letter's start to the last one's end. */
	readonly used: number;
	/** Left margin; the odd square, if there is one, stays on the right. */
	readonly margin: number;
}

/**
 * Fits n letters into a width: n·a + (n − 1)·b ≤ width with a ≤ height and b ≤ a; the largest
 * letter a wins, then the widest gap b. A gap below 1 only where `tight` asks for it. A space counts
 * as a letter. Undefined when not even letters of one square fit. (Common practice.)
 */
export function fitLettering(
	count: number,
	width: number,
	height: number,
	tight = false
): Lettering | undefined {
	if (count < 1) return undefined;
	const least = count === 1 || tight ? 0 : 1;
	const letter = Math.min(height, Math.floor((width - (count - 1) * least) / count));
	if (letter < 1) return undefined;
	const gap =
		count === 1 ? 0 : Math.min(letter, Math.floor((width - count * letter) / (count - 1)));
	const used = count * letter + (count - 1) * gap;
	return { letter, gap, used, margin: Math.floor((width - used) / 2) };
}
