/** A point of a picture in mm, and the page whose paper is seen there. */
export interface Pixel {
	readonly x: number;
	readonly y: number;
	readonly page: number | undefined;
}

interface Point {
	readonly x: number;
	readonly y: number;
}

const tiny = 1e-6;

/**
 * Paints the leaves of one side of an open book from the last to the first, pixel by pixel; a leaf's cuts
 * are given on its front, and on the left one looks at its back. Shares no code with the openings.
 */
export function paintOpening(
	paper: { readonly width: number; readonly height: number },
	leaves: readonly { readonly page: number; readonly cuts: readonly (readonly Point[])[] }[],
	side: 'left' | 'right'
): Pixel[] {
	const pixels: Pixel[] = [];
	// An odd step keeps the pixels' middles off the dots, where a cut's own edge lies.
	for (let y = 0.613; y < paper.height; y += 3.377)
		for (let x = 0.417; x < paper.width; x += 3.193) {
			let page: number | undefined;
			const at = side === 'right' ? x : paper.width - x;
			// On a slanting edge itself a pixel is as much in as out.
			const onEdge = leaves.some(({ cuts }) =>
				cuts.some((outline) => winds(outline, at - tiny, y) !== winds(outline, at + tiny, y))
			);
			if (onEdge) continue;
			for (const leaf of [...leaves].reverse()) {
				if (!leaf.cuts.some((outline) => winds(outline, at, y))) page = leaf.page;
			}
			pixels.push({ x, y, page });
		}
	return pixels;
}

/** Even-odd by the angles of a scan line's crossings, sorted. */
export function winds(outline: readonly Point[], x: number, y: number): boolean {
	const crossings: number[] = [];
	for (let index = 0; index < outline.length; index++) {
		const [a, b] = [outline[index], outline[(index + 1) % outline.length]];
		if (!a || !b || a.y === b.y) continue;
		const [low, high] = a.y < b.y ? [a, b] : [b, a];
		if (y < low.y || y >= high.y) continue;
		crossings.push(low.x + ((high.x - low.x) * (y - low.y)) / (high.y - low.y));
	}
	return crossings.filter((crossing) => crossing < x).length % 2 === 1;
}
