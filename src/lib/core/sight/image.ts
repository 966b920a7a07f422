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
	const box = Math.max(1, Math.round(radius));
	let { light } = picture;
	for (let time = 0; time < 3; time++)
		light = turnedBoxed(
			turnedBoxed(light, picture.width, picture.height, box),
			picture.height,
			picture.width,
			box
		);
	return { ...picture, light };
}

/** One box blur along the rows, its result with rows and columns exchanged, so that two of them blur both ways. */
function turnedBoxed(light: Float32Array, width: number, height: number, radius: number) {
	const out = new Float32Array(light.length);
	const share = 1 / (2 * radius + 1);
	for (let row = 0; row < height; row++) {
		const at = (column: number) =>
			light[row * width + Math.min(width - 1, Math.max(0, column))] ?? 0;
		let sum = 0;
		for (let column = -radius; column <= radius; column++) sum += at(column);
		for (let column = 0; column < width; column++) {
			out[column * height + row] = sum * share;
			sum += at(column + radius + 1) - at(column - radius);
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
