import { differenceCiede2000, modeLab65, modeRgb, modeXyz65, useMode } from 'culori/fn';
import type { FieldMark, Mark } from '../../draw';
import type { Rect } from '../../paper';
import { colourAt, type Picture, type PlaceOf, type Rgb, type White } from '../picture/colour';

for (const mode of [modeRgb, modeXyz65, modeLab65]) useMode(mode);
const apart = differenceCiede2000();

/** A state that was coloured: its place in the key from 1, 0 for none; doubtful where others come near. */
export interface LevelSeen {
	readonly level: number;
	readonly sure: boolean;
	/** Places of the key, the likeliest first. */
	readonly likely: readonly number[];
}

/** The nearest colour must be so much nearer than the second; two of a key nearer than this are always asked. */
const [leastLead, leastApart] = [0.6, 15];
/** From white paper, which is the same on the whole page, a pale colour is told sooner. */
const leastFromWhite = 7;
const looks = 9;

/** The colour of a rectangle against white paper there, by the middle of each channel: writing in it does not count. */
export function tintOf(
	picture: Picture,
	place: PlaceOf,
	white: White,
	{ x, y, w, h }: Rect
): Rgb | undefined {
	const shares: [number[], number[], number[]] = [[], [], []];
	for (let i = 0; i < looks * looks; i++) {
		const u = x + w * (0.2 + (0.6 * (i % looks)) / (looks - 1));
		const v = y + h * (0.2 + (0.6 * Math.floor(i / looks)) / (looks - 1));
		const spot = place(u, v);
		const colour = colourAt(picture, spot.x, spot.y);
		if (!colour) continue;
		const paper = white.at(u, v);
		for (const channel of [0, 1, 2] as const)
			shares[channel].push(Math.min(1, colour[channel] / Math.max(20, paper[channel])));
	}
	if (shares[0].length < (looks * looks) / 2) return undefined;
	const mid = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1] ?? 1;
	return [mid(shares[0]), mid(shares[1]), mid(shares[2])];
}

/** Colours of the key that stands on the page itself, by place from 1. */
export function keySeen(
	picture: Picture,
	place: PlaceOf,
	white: White,
	marks: readonly Mark[]
): Map<number, Rgb> {
	const key = new Map<number, Rgb>();
	for (const mark of marks) {
		if (mark.kind !== 'tint' || !mark.tone.startsWith('level-')) continue;
		const tint = tintOf(picture, place, white, mark);
		if (tint) key.set(Number(mark.tone.slice('level-'.length)), tint);
	}
	return key;
}

/** The state in a field by the page's own key in the same picture (CIEDE2000); undefined where it cannot be seen. */
export function levelSeen(
	picture: Picture,
	place: PlaceOf,
	white: White,
	field: FieldMark,
	key: ReadonlyMap<number, Rgb>
): LevelSeen | undefined {
	const own = tintOf(picture, place, white, field);
	if (!own || key.size === 0) return undefined;
	const known = [...key, [0, [1, 1, 1]] as const];
	const ranked = known
		.map(([level, tint]) => ({ level, tint, far: far(own, tint) }))
		.sort((a, b) => a.far - b.far);
	const [first, second] = ranked;
	if (!first || !second) return undefined;
	const middle = [field.x + field.w / 2, field.y + field.h / 2] as const;
	return {
		level: first.level,
		sure:
			white.isEven(...middle) &&
			!white.isGlaring(...middle) &&
			first.far <= leastLead * second.far &&
			far(first.tint, second.tint) >=
				(first.level === 0 || second.level === 0 ? leastFromWhite : leastApart),
		likely: ranked.map(({ level }) => level)
	};
}

const rgb = ([r, g, b]: Rgb) => ({ mode: 'rgb', r, g, b }) as const;
const far = (a: Rgb, b: Rgb) => apart(rgb(a), rgb(b));
