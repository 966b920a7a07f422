/** A picture in grey, row by row, 0 black to 255 white. */
export interface Grey {
	readonly width: number;
	readonly height: number;
	readonly light: Float32Array;
}

/** The grey of a picture of four bytes a pixel: 0.30 R + 0.59 G + 0.11 B (ITU-R BT.601). */
export function greyOf(rgba: ArrayLike<number>, width: number, height: number): Grey {
	const light = new Float32Array(width * height);
	for (let at = 0; at < light.length; at++)
		light[at] =
			0.3 * (rgba[4 * at] ?? 0) + 0.59 * (rgba[4 * at + 1] ?? 0) + 0.11 * (rgba[4 * at + 2] ?? 0);
	return { width, height, light };
}

/** Three box blurs of a radius, which come near a Gauss curve; beyond the edges the picture goes on as it ends. */
export function blurred(picture: Grey, radius: number): Grey {
	const { width, height } = picture;
	const box = Math.max(1, Math.round(radius));
	let { light } = picture;
	for (let time = 0; time < 3; time++)
		light = boxedDown(boxedAcross(light, width, height, box), width, height, box);
	return { width, height, light };
}

function boxedAcross(light: Float32Array, width: number, height: number, radius: number) {
	const out = new Float32Array(light.length);
	const share = 1 / (2 * radius + 1);
	for (let start = 0; start < light.length; start += width) {
		const last = start + width - 1;
		let sum = (radius + 1) * (light[start] ?? 0);
		for (let by = 1; by <= radius; by++) sum += light[Math.min(last, start + by)] ?? 0;
		for (let at = start; at <= last; at++) {
			out[at] = sum * share;
			const [next, gone] = [at + radius + 1, at - radius];
			sum += (light[next > last ? last : next] ?? 0) - (light[gone < start ? start : gone] ?? 0);
		}
	}
	return out;
}

/** The same along the columns, all of them at once row by row: memory is read in its own order. */
function boxedDown(light: Float32Array, width: number, height: number, radius: number) {
	const out = new Float32Array(light.length);
	const share = 1 / (2 * radius + 1);
	const rowAt = (row: number) => Math.min(height - 1, Math.max(0, row)) * width;
	const sums = new Float64Array(width);
	for (let by = -radius; by <= radius; by++)
		for (let at = 0, from = rowAt(by); at < width; at++)
			sums[at] = (sums[at] ?? 0) + (light[from + at] ?? 0);
	for (let row = 0; row < height; row++) {
		const [own, next, gone] = [row * width, rowAt(row + radius + 1), rowAt(row - radius)];
		for (let at = 0; at < width; at++) {
			const sum = sums[at] ?? 0;
			out[own + at] = sum * share;
			sums[at] = sum + (light[next + at] ?? 0) - (light[gone + at] ?? 0);
		}
	}
	return out;
}

/** The light between pixels, by its four neighbours; the nearest pixel's outside. */
export function lightAt({ width, height, light }: Grey, x: number, y: number): number {
	const left = Math.min(width - 2, Math.max(0, Math.floor(x)));
	const top = Math.min(height - 2, Math.max(0, Math.floor(y)));
	const [across, down] = [Math.min(1, Math.max(0, x - left)), Math.min(1, Math.max(0, y - top))];
	const at = top * width + left;
	const upper = (light[at] ?? 0) * (1 - across) + (light[at + 1] ?? 0) * across;
	const lower = (light[at + width] ?? 0) * (1 - across) + (light[at + width + 1] ?? 0) * across;
	return upper * (1 - down) + lower * down;
}
