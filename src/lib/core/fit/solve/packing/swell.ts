import type { Size } from '../../../paper';

/**
 * Lengthens rectangles by what no sum of the others can fill beside them: it changes nothing about
 * whether they fit, and makes the area a sharper test.
 */
export function swell(page: Size, sizes: readonly Size[]): Size[] {
	const w = sizes.map((size) => size.w);
	const h = sizes.map((size) => size.h);
	swellLengths(page.w, w);
	swellLengths(page.h, h);
	return sizes.map((_, index) => ({ w: w[index] ?? 0, h: h[index] ?? 0 }));
}

function swellLengths(whole: number, lengths: number[]): void {
	for (let round = 0; round < 3; round++) {
		let changed = false;
		for (let index = 0; index < lengths.length; index++) {
			const rest = whole - (lengths[index] ?? 0);
			const gap = rest - mostBelow(rest, lengths, index);
			if (gap === 0) continue;
			lengths[index] = (lengths[index] ?? 0) + gap;
			changed = true;
		}
		if (!changed) return;
	}
}

const reached = new Uint8Array(1024);

/** Largest sum of some of the lengths, all but one, that is at most `limit`. */
function mostBelow(limit: number, lengths: readonly number[], but: number): number {
	reached.fill(0, 0, limit + 1);
	reached[0] = 1;
	for (let index = 0; index < lengths.length; index++) {
		const length = lengths[index] ?? 0;
		if (index === but || length > limit) continue;
		for (let sum = limit; sum >= length; sum--) if (reached[sum - length]) reached[sum] = 1;
		if (reached[limit]) return limit;
	}
	return reached.lastIndexOf(1, limit);
}
