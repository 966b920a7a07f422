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

/** Start of each letter from the left edge of the width, in squares. */
export function letterStarts({ letter, gap, margin }: Lettering, count: number): number[] {
	return Array.from({ length: count }, (_, index) => margin + index * (letter + gap));
}

/**
 * A word in letters of a wanted width, or why it cannot be and the largest letters that can. Gaps of
 * nought are tried before the word is given up.
 */
export type WantedLettering =
	| { readonly fits: true; readonly lettering: Lettering }
	| {
			readonly fits: false;
			/** Squares that the word would need at the wanted size. */
			readonly needed: number;
			readonly largest: Lettering | undefined;
	  };

/** Letters of exactly `wanted` squares in a width, with the widest gaps up to a letter's width. */
export function letteringOf(count: number, width: number, wanted: number): WantedLettering {
	const fits = [false, true].flatMap((tight) => fitLettering(count, width, wanted, tight) ?? []);
	const lettering = fits.find(({ letter }) => letter === wanted);
	if (lettering) return { fits: true, lettering };
	return {
		fits: false,
		needed: count * wanted + Math.max(0, count - 1),
		largest: fits.toSorted((a, b) => b.letter - a.letter)[0]
	};
}
