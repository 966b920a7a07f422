/** A colour as three numbers of 0 to 255. */
export type Rgb = readonly [number, number, number];

/** What lies on a sheet, as three bytes a spot, so many spots to the millimetre. */
export interface Sheet {
	readonly width: number;
	readonly height: number;
	readonly perMm: number;
	readonly rgb: Uint8ClampedArray;
}

interface Place {
	readonly x: number;
	readonly y: number;
}

/** An empty sheet of a colour; sides in mm. */
export function sheetOf(widthMm: number, heightMm: number, colour: Rgb, perMm = 9): Sheet {
	const [width, height] = [Math.round(widthMm * perMm), Math.round(heightMm * perMm)];
	const rgb = new Uint8ClampedArray(3 * width * height);
	for (let at = 0; at < rgb.length; at += 3) rgb.set(colour, at);
	return { width, height, perMm, rgb };
}

/** Lets a colour cover a spot by a share of 0 to 1. */
function cover({ width, height, rgb }: Sheet, x: number, y: number, colour: Rgb, share: number) {
	if (x < 0 || y < 0 || x >= width || y >= height || share <= 0) return;
	const at = 3 * (y * width + x);
	for (let channel = 0; channel < 3; channel++)
		rgb[at + channel] =
			(rgb[at + channel] ?? 0) * (1 - share) + (colour[channel] ?? 0) * Math.min(1, share);
}

/** A stroke of a round pen from place to place; lengths in mm. */
export function stroke(sheet: Sheet, from: Place, to: Place, penMm: number, colour: Rgb): void {
	const { perMm } = sheet;
	const [x1, y1, x2, y2] = [from.x * perMm, from.y * perMm, to.x * perMm, to.y * perMm];
	const half = (penMm * perMm) / 2;
	const length = (x2 - x1) ** 2 + (y2 - y1) ** 2;
	for (let y = Math.floor(Math.min(y1, y2) - half - 1); y <= Math.max(y1, y2) + half + 1; y++)
		for (let x = Math.floor(Math.min(x1, x2) - half - 1); x <= Math.max(x1, x2) + half + 1; x++) {
			const along =
				length === 0
					? 0
					: Math.min(1, Math.max(0, ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / length));
			const far = Math.hypot(x - x1 - along * (x2 - x1), y - y1 - along * (y2 - y1));
			cover(sheet, x, y, colour, half + 0.5 - far);
		}
}

/** An area filled between corners, so strongly, 0 to 1; lengths in mm. */
export function fill(sheet: Sheet, corners: readonly Place[], colour: Rgb, strength: number): void {
	const points = corners.map(({ x, y }) => ({ x: x * sheet.perMm, y: y * sheet.perMm }));
	const ys = points.map(({ y }) => y);
	for (let y = Math.ceil(Math.min(...ys)); y <= Math.max(...ys); y++) {
		const crossed = points.flatMap((a, at) => {
			const b = points[(at + 1) % points.length] ?? a;
			return a.y <= y !== b.y <= y ? [a.x + ((y - a.y) * (b.x - a.x)) / (b.y - a.y)] : [];
		});
		crossed.sort((a, b) => a - b);
		for (let pair = 0; pair + 1 < crossed.length; pair += 2)
			for (let x = Math.ceil(crossed[pair] ?? 0); x <= (crossed[pair + 1] ?? 0); x++)
				cover(sheet, x, y, colour, strength);
	}
}
