import { blurred, type Grey } from '../picture/image';

/** A small dark spot: a dot of the paper, or a crossing of lines, which lies on one. */
export interface Blob {
	readonly x: number;
	readonly y: number;
	/** How much darker it is than what is around it, as a share of the light there. */
	readonly strength: number;
	/** The smaller over the larger second derivative: 1 is round, 0 a line. */
	readonly roundness: number;
}

/** Radii of the two blurs whose difference shows spots, and of what is local, in squares. */
const [fine, coarse, local] = [0.03, 0.14, 0.7];
/** A weaker spot than this share of the light around it is noise. */
const leastStrength = 0.012;

/** Dark spots of a picture in which a square has so many pixels, the place of each to parts of a pixel. */
export function blobsOf(picture: Grey, squarePx: number): Blob[] {
	const { width, height } = picture;
	const small = blurred(picture, fine * squarePx).light;
	const large = blurred(picture, coarse * squarePx).light;
	const around = blurred(picture, local * squarePx).light;
	// On a dark table grain would be strong, were it held against the little light there.
	const least = 0.6 * Math.max(8, ...sampled(around));
	const dark = new Float32Array(small.length);
	for (let at = 0; at < dark.length; at++)
		dark[at] = ((large[at] ?? 0) - (small[at] ?? 0)) / Math.max(least, around[at] ?? 0);
	const found: Blob[] = [];
	for (let row = 2; row < height - 2; row++)
		for (let column = 2; column < width - 2; column++) {
			const at = row * width + column;
			const strength = dark[at] ?? 0;
			if (strength < leastStrength || !isPeak(dark, at, width)) continue;
			const [left = 0, right = 0] = [dark[at - 1], dark[at + 1]];
			const [above = 0, below = 0] = [dark[at - width], dark[at + width]];
			const [xx, yy] = [left + right - 2 * strength, above + below - 2 * strength];
			const xy =
				((dark[at + width + 1] ?? 0) +
					(dark[at - width - 1] ?? 0) -
					(dark[at + width - 1] ?? 0) -
					(dark[at - width + 1] ?? 0)) /
				4;
			const middle = (xx + yy) / 2;
			const spread = Math.hypot((xx - yy) / 2, xy);
			const [steep, flat] = [middle - spread, middle + spread];
			found.push({
				x: column + (xx < 0 ? (left - right) / (2 * xx) : 0),
				y: row + (yy < 0 ? (above - below) / (2 * yy) : 0),
				strength,
				roundness: flat < 0 && steep < 0 ? flat / steep : 0
			});
		}
	return found;
}

/** Every hundredth or so of many values. */
function sampled(values: Float32Array): number[] {
	const step = Math.max(1, Math.floor(values.length / 4000));
	return Array.from(
		{ length: Math.floor(values.length / step) },
		(_, at) => values[at * step] ?? 0
	);
}

function isPeak(dark: Float32Array, at: number, width: number): boolean {
	const own = dark[at] ?? 0;
	for (let down = -1; down <= 1; down++)
		for (let across = -1; across <= 1; across++) {
			const other = dark[at + down * width + across] ?? 0;
			// Of equals the first counts.
			if (other > own || (other === own && (down < 0 || (down === 0 && across < 0)))) return false;
		}
	return true;
}
