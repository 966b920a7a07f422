import type { FieldMark, FieldScale } from '../../draw';
import { spanOf, timesText, type Stretch } from '../../records';
import { colourAt, hueOf, lossOf, type Picture, type PlaceOf, type White } from '../picture/colour';

/** Places that a square along a scale is looked at, and the part of its height. */
const [perSquare, lines] = [12, [0.34, 0.44, 0.56, 0.66]] as const;
/** Nearer to a line of the page than this, in squares, nothing is told. */
const nearLine = 0.1;
/** A row of which no place is darker is empty. */
const leastDark = 0.1;
/** A shorter stretch or gap, in squares, is the pen's, not the day's. */
const shortest = 0.2;
/** So far, in squares, an end may be blurred before it is doubtful. */
const mostBlurred = 0.5;
/** What is coloured is at least so dark, as a share of what is usual. */
const palest = 0.72;
/** So many places of a stretch are looked at together. */
const stride = 2 * perSquare;
/** What is usually coloured with less is grey, and not told from a shadow by its colour. */
const leastHue = 0.08;
/** A stretch at an end of the scale that is shorter than this, in squares, may be the edge of a shadow. */
const leastAtEdge = 1;
/** Ends are told to so many parts of a square: five minutes where it is an hour. */
const parts = 12;

/** What is coloured along a field with a scale, and whether its ends are plain to see. */
export interface SpansSeen {
	readonly value: string;
	readonly sure: boolean;
}

/** How a field looks along its scale, place by place. */
export interface Profile {
	readonly dark: readonly number[];
	/** How much colour there is, besides. */
	readonly hue: readonly number[];
	/** How dark it is against the lightest of what is near: the shade of a hand is as dark all around. */
	readonly near: readonly number[];
	/** Whether light is even there: at the edge of a shadow an end is not told. */
	readonly even: readonly boolean[];
}

/** Darkness along a field, a value for each place; `ruled` says across which columns of dots a line runs there. */
export function profileOf(
	picture: Picture,
	place: PlaceOf,
	{ wide, near }: { readonly wide: White; readonly near: White },
	{ x, y, h }: FieldMark,
	{ squares }: FieldScale,
	ruled: (column: number) => boolean
): Profile {
	const along = (at: number) => x + (at + 0.5) / perSquare;
	const places = Array.from({ length: squares * perSquare }, (_, at) => at);
	const middleOf = (of: typeof lossOf, white = wide) =>
		places.map((at) => {
			const values = lines.flatMap((part) => {
				const spot = place(along(at), y + part * h);
				const colour = colourAt(picture, spot.x, spot.y);
				return colour ? [of(colour, white.at(along(at), y + part * h))] : [];
			});
			return middle(values);
		});
	const raw = middleOf(lossOf);
	const lineAt = (at: number) => {
		const column = Math.round(along(at));
		return Math.abs(along(at) - column) < nearLine && ruled(column) ? column : undefined;
	};
	const dark = raw.map((own, at) => {
		const column = lineAt(at);
		if (column === undefined) return own;
		// On either side of a line it is as it is beyond the line.
		const way = along(at) < column ? -1 : 1;
		let other = at;
		while (lineAt(other) === column) other += way;
		return raw[other] ?? own;
	});
	return {
		dark,
		hue: middleOf(hueOf),
		near: middleOf(lossOf, near),
		even: raw.map((_, at) => {
			const middle = [along(at), y + h / 2] as const;
			return wide.isEven(...middle) && !wide.isGlaring(...middle);
		})
	};
}

/** The stretches of a profile that are darker than half of what is usual for coloured ones, in squares. */
function stretchesIn(profile: readonly number[], usual: number): Stretch[] {
	const bar = usual / 2;
	/** Where between two places the profile crosses the bar. */
	const crossing = (at: number) => {
		const [a, b] = [profile[at - 1] ?? 0, profile[at] ?? 0];
		return (at - 0.5 + (a === b ? 0.5 : (bar - a) / (b - a))) / perSquare;
	};
	const found: { from: number; to: number }[] = [];
	for (let at = 0; at <= profile.length; at++) {
		const [before, own] = [profile[at - 1] ?? 0, profile[at] ?? 0];
		const last = found.at(-1);
		if (before < bar && own >= bar) {
			const from = Math.max(0, crossing(at));
			if (last && from - last.to < shortest) last.to = Infinity;
			else found.push({ from, to: Infinity });
		} else if (before >= bar && own < bar && last)
			last.to = Math.min(profile.length / perSquare, crossing(at));
	}
	return found.filter(({ from, to }) => to - from >= shortest);
}

/** Whether a stretch is a short piece at the beginning or end of its scale. */
function isAtEdge({ from, to }: Stretch, places: number): boolean {
	const last = places / perSquare;
	return to - from < leastAtEdge && (from < shortest || to > last - shortest);
}

const middle = (values: readonly number[]) =>
	values.toSorted((a, b) => a - b)[values.length >> 1] ?? 0;

/** What is usual where something is coloured in a tracker. */
export interface Usual {
	readonly dark: number;
	readonly hue: number;
}

/** How what is coloured in a tracker usually looks; undefined where nothing is. */
export function colouredIn(profiles: readonly Profile[]): Usual | undefined {
	const coloured = profiles.flatMap(({ dark, hue }) =>
		dark.flatMap((own, at) => (own >= leastDark ? [{ dark: own, hue: hue[at] ?? 0 }] : []))
	);
	// A word or two in the rows are not a tracker that is filled in.
	if (coloured.length < perSquare) return undefined;
	return {
		dark: middle(coloured.map(({ dark }) => dark)),
		hue: middle(coloured.map(({ hue }) => hue))
	};
}

/** What stands in a field with a scale, as text: spans of time, or the number that a bar reaches. */
export function spansSeen(
	field: FieldMark,
	scale: FieldScale,
	{ dark: raw, hue, near, even }: Profile,
	usual: Usual
): SpansSeen {
	const isGrey = usual.hue < leastHue;
	// Where there is no colour, and all around it is as dark, there is a shadow on paper.
	const dark = raw.map((own, at) => {
		const isShade = (hue[at] ?? 0) < usual.hue / 2 && (near[at] ?? 0) < usual.dark / 2;
		return !isGrey && isShade ? 0 : own;
	});
	const stretches = stretchesIn(dark, usual.dark);
	const doubtful = dark.filter((one) => one > 0.3 * usual.dark && one < 0.7 * usual.dark).length;
	const isTold = (end: number) => {
		const at = Math.round(end * perSquare);
		return (even[at] ?? true) && (even[at - 1] ?? true);
	};
	/** A shadow is paler than what was coloured, or has no colour where that has, be it only over a part of it. */
	const isColoured = ({ from, to }: Stretch) => {
		const [first, last] = [Math.ceil(from * perSquare), Math.floor(to * perSquare)];
		for (let at = first; at === first || at + stride <= last; at += stride / 2) {
			const until = Math.max(at + 1, Math.min(at + stride, last));
			if (middle(dark.slice(at, until)) < palest * usual.dark) return false;
			if (!isGrey && middle(hue.slice(at, until)) < usual.hue / 2) return false;
		}
		return true;
	};
	const sure =
		doubtful <= mostBlurred * perSquare * Math.max(1, 2 * stretches.length) &&
		stretches.every(
			(stretch) =>
				isTold(stretch.from) &&
				isTold(stretch.to) &&
				isColoured(stretch) &&
				(field.holds !== 'times' || !isAtEdge(stretch, dark.length))
		) &&
		(field.holds === 'times' || stretches.length <= 1);
	const round = (value: number) => Math.round(value * parts) / parts;
	if (stretches.length === 0) return { value: '', sure };
	if (field.holds === 'times')
		return {
			value: timesText(
				stretches.map(({ from, to }) => spanOf(scale, { from: round(from), to: round(to) }))
			),
			sure
		};
	const reach = round(Math.max(...stretches.map(({ to }) => to)));
	return { value: String(Math.round(scale.from + reach * scale.per)), sure };
}
