/** A picture in colour, four bytes a pixel. */
export interface Picture {
	readonly width: number;
	readonly height: number;
	readonly rgba: ArrayLike<number>;
}

export type Rgb = readonly [red: number, green: number, blue: number];

/** Where a place on the page, in squares, lies in the picture, in pixels. */
export type PlaceOf = (x: number, y: number) => { readonly x: number; readonly y: number };

/** The colour of the nearest pixel; undefined outside the picture. */
export function colourAt({ width, height, rgba }: Picture, x: number, y: number): Rgb | undefined {
	const [column, row] = [Math.round(x), Math.round(y)];
	if (column < 0 || row < 0 || column >= width || row >= height) return undefined;
	const at = 4 * (row * width + column);
	return [rgba[at] ?? 0, rgba[at + 1] ?? 0, rgba[at + 2] ?? 0];
}

/** White paper by places of the page, in squares. */
export interface White {
	/** The colour that it has near a place. */
	readonly at: (x: number, y: number) => Rgb;
	/** Whether the light is even there, or changes gently: no edge of a shadow runs through. */
	readonly isEven: (x: number, y: number) => boolean;
	/** Whether something is mirrored there, so that white is lighter than can be told. */
	readonly isGlaring: (x: number, y: number) => boolean;
}

/**
 * Within a square light changes by less than this share, but for the edge of a shadow and for what is mirrored. A shadow's
 * edge takes half of the change of four squares in one step; the light of a lamp spreads it.
 */
const [even, step] = [0.14, 0.42];
/** Brighter than this, of 255, is glare where the page is not. */
const glaring = 247;

/** So many places of a square are looked at in each direction, and this share of the darker ones is no paper. */
const [looks, darker] = [9, 0.95];

/** The light of each square's lightest parts, row by row, a channel each. */
export interface LightOfSquares {
	readonly columns: number;
	readonly rows: number;
	readonly channels: readonly [Float32Array, Float32Array, Float32Array];
}

/** How light each square of a page is where it is lightest. */
export function lightOfSquares(
	picture: Picture,
	place: PlaceOf,
	columns: number,
	rows: number
): LightOfSquares {
	const empty = () => new Float32Array(columns * rows);
	const channels = [empty(), empty(), empty()] as const;
	for (let row = 0; row < rows; row++)
		for (let column = 0; column < columns; column++) {
			const seen: [number[], number[], number[]] = [[], [], []];
			for (let i = 0; i < looks * looks; i++) {
				const { x, y } = place(
					column + ((i % looks) + 0.5) / looks,
					row + (Math.floor(i / looks) + 0.5) / looks
				);
				const colour = colourAt(picture, x, y);
				if (colour) for (const channel of [0, 1, 2] as const) seen[channel].push(colour[channel]);
			}
			for (const channel of [0, 1, 2] as const) {
				const sorted = seen[channel].sort((a, b) => a - b);
				channels[channel][row * columns + column] =
					sorted[Math.floor(darker * (sorted.length - 1))] ?? 0;
			}
		}
	return { columns, rows, channels };
}

/**
 * White by place: a grey closing of the light of squares over so many around, by channel; it follows light from the side and
 * the shadow of a hand, and passes over what is filled in.
 */
export function whiteOf({ columns, rows, channels: light }: LightOfSquares, around: number): White {
	const channels = light.map((own) =>
		reach(reach(own, columns, rows, around, Math.max), columns, rows, around, Math.min)
	);
	const at = (values: Float32Array | undefined, x: number, y: number) => {
		const [left, top] = [x - 0.5, y - 0.5];
		const column = Math.min(columns - 2, Math.max(0, Math.floor(left)));
		const row = Math.min(rows - 2, Math.max(0, Math.floor(top)));
		const [across, down] = [
			Math.min(1, Math.max(0, left - column)),
			Math.min(1, Math.max(0, top - row))
		];
		const own = (dx: number, dy: number) => values?.[(row + dy) * columns + column + dx] ?? 0;
		return (
			(own(0, 0) * (1 - across) + own(1, 0) * across) * (1 - down) +
			(own(0, 1) * (1 - across) + own(1, 1) * across) * down
		);
	};
	const greens = channels[1] ?? new Float32Array();
	const usual = greens.toSorted()[greens.length >> 1] ?? 0;
	function isGentle(x: number, y: number, dx: number, dy: number): boolean {
		const along = [-2, -1, 0, 1, 2].map((by) => at(greens, x + by * dx, y + by * dy));
		const steps = along.slice(1).map((own, before) => Math.abs(own - (along[before] ?? own)));
		const range = Math.max(...along) - Math.min(...along);
		return range < even * Math.max(...along) || Math.max(...steps) < step * range;
	}
	return {
		at: (x, y) => [at(channels[0], x, y), at(channels[1], x, y), at(channels[2], x, y)],
		isEven: (x, y) => {
			const nearest = [-1, 0, 1].flatMap((by) => [at(greens, x + by, y), at(greens, x, y + by)]);
			const [least, most] = [Math.min(...nearest), Math.max(...nearest)];
			return most - least < even * most || (isGentle(x, y, 1, 0) && isGentle(x, y, 0, 1));
		},
		isGlaring: (x, y) => at(greens, x, y) >= glaring && usual < glaring
	};
}

function reach(
	values: Float32Array,
	columns: number,
	rows: number,
	by: number,
	pick: (a: number, b: number) => number
): Float32Array {
	return values.map((own, at) => {
		const [column, row] = [at % columns, Math.floor(at / columns)];
		let found = own;
		for (let y = Math.max(0, row - by); y <= Math.min(rows - 1, row + by); y++)
			for (let x = Math.max(0, column - by); x <= Math.min(columns - 1, column + by); x++)
				found = pick(found, values[y * columns + x] ?? own);
		return found;
	});
}

const lossesOf = (colour: Rgb, white: Rgb) =>
	([0, 1, 2] as const).map((channel) => 1 - colour[channel] / Math.max(20, white[channel]));

/** How much a colour has lost against white in the channel that lost most, 0 to 1. */
export function lossOf(colour: Rgb, white: Rgb): number {
	return Math.max(0, ...lossesOf(colour, white));
}

/** How much more a colour has lost in one channel than in another: a shadow takes as much of all. */
export function hueOf(colour: Rgb, white: Rgb): number {
	const losses = lossesOf(colour, white);
	return Math.max(...losses) - Math.min(...losses);
}
