import type { TextMark, TextStyle } from '../../draw';
import { letterRoom, runsFromRight, type Hand } from '../../hand';

/** How a text stands in its rectangle, in squares. */
export interface Setting {
	/** Font size. */
	readonly size: number;
	/** Place of the line's end or middle that `anchor` names. */
	readonly x: number;
	readonly baseline: number;
	readonly anchor: Anchor;
}

/** Which point of a line is placed: its left end, its middle or, of one that runs from the right, its right end. */
export type Anchor = 'left' | 'middle' | 'right';

/** Cap height and mean letter width of the hand typeface as parts of its size, as measured. */
const capHeight = 0.7;
const letterWidth = 0.46;
/** Mean width of a capital of the lettering typeface, likewise, and of its wide ones. */
const capitalWidth = 0.66;
const widestCapital = 0.8;

/**
 * Type size and baseline of a text mark: as large as the hand writes (letters per square), never
 * higher than its rectangle, never longer than it. A text that is turned upwards starts at the foot of
 * its rectangle (one that runs from the right at the top); its place is where the line starts, before it is turned by
 * a quarter to the left. Never larger than `most`.
 */
export function setText(mark: TextMark, hand: Hand, most = Infinity): Setting {
	const [length, height] = mark.turned ? [mark.h, mark.w] : [mark.w, mark.h];
	const count = Math.max(1, letterRoom(mark.text));
	const longest =
		mark.style === 'lettering'
			? length / (count * (height > length ? capitalWidth : widestCapital))
			: length / (count * letterWidth + 0.3);
	const size = Math.min(most, naturalSize(mark.style, height, hand), longest);
	const anchor = mark.align === 'center' ? 'middle' : runsFromRight(mark.text) ? 'right' : 'left';
	const margin = Math.min(0.15, length / 8);
	const along = { left: margin, middle: length / 2, right: length - margin }[anchor];
	const baseline = height / 2 + (capHeight * size) / 2;
	return mark.turned
		? { size, anchor, x: mark.x + baseline, baseline: mark.y + mark.h - along }
		: { size, anchor, x: mark.x + along, baseline: mark.y + baseline };
}

/** Size of a text in a row of a height where nothing keeps it from being long. */
export function naturalSize(style: TextStyle, height: number, hand: Hand): number {
	return style === 'lettering'
		? height / capHeight
		: Math.min(
				0.95 * height,
				height / hand.lineHeight / (letterWidth * Math.min(hand.lettersPerSquare, 2))
			);
}

/** Squares that a text is long in a row of a height, at the size that it has there by itself. */
export function naturalLength(text: string, style: TextStyle, height: number, hand: Hand): number {
	const count = Math.max(1, letterRoom(text));
	const size = naturalSize(style, height, hand);
	return size * (style === 'lettering' ? count * widestCapital : count * letterWidth + 0.3);
}
