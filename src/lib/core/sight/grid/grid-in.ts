import { blobsOf, type Blob } from './blobs';
import { collected, type Grid } from './collect';
import type { Grey } from '../picture/image';
import { latticeOf, type Node } from './lattice';

/** Page widths in squares that are tried: small, usual and large books. */
const triedWidths = [24, 34, 48, 68] as const;
/** A page has at least so many dots. */
const leastNodes = 150;
/** With so many dots most of a page is found. */
const wholePage = 500;
/** A further scale is worth its time where it finds so many times what was found before. */
const worthwhile = 1.1;
/** Dots nearer to each other, in pixels, run together. */
const leastSquarePx = 9;

/** The grid of a page's dots in a picture; undefined where there are too few. `progress` hears how much of it is done. */
export function gridIn(
	picture: Grey,
	progress: (share: number) => void = () => undefined
): Grid | undefined {
	let best: { nodes: Node[]; blobs: Blob[] } | undefined;
	for (const [at, width] of triedWidths.entries()) {
		progress((0.7 * at) / triedWidths.length);
		const squarePx = picture.width / width;
		if (squarePx < leastSquarePx) break;
		const blobs = blobsOf(picture, squarePx);
		const nodes = latticeOf(blobs, squarePx);
		const before = best?.nodes.length ?? 0;
		if (nodes.length > before) best = { nodes, blobs };
		// A page that was found at a larger scale needs no other.
		if (before > wholePage && nodes.length < before * worthwhile) break;
	}
	progress(0.75);
	return best && best.nodes.length >= leastNodes ? collected(best.nodes, best.blobs) : undefined;
}
