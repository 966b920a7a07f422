import type { TextMark } from '../draw';
import { letters, type Hand } from '../hand';

/** How a text stands in its rectangle, in squares. */
export interface Setting {
	/** Font size. */
	readonly size: number;
	/** Left end of the line, or its middle when centred. */
	readonly x: number;
	readonly baseline: number;
}

/** Cap height and mean letter width of the hand typeface as parts of its size, as measured. */
const capHeight = 0.7;
const letterWidth = 0.46;
/** Mean width of a capital of the lettering typeface, likewise, and of its wide ones. */
const capitalWidth = 0.66;
const widestCapital = 0.8;

/**
 * Type size and baseline of a text mark: as large as the hand writes (letters per square), never
 * higher than its rectangle, never longer than it. A text that is turned upwards starts at the foot of
 * its rectangle; its place is where the line starts, before it is turned by a quarter to the left.
 */
export function setText(mark: TextMark, hand: Hand): Setting {
	const [length, height] = mark.turned ? [mark.h, mark.w] : [mark.w, mark.h];
	const count = Math.max(1, letters(mark.text).length);
	const size =
		mark.style === 'lettering'
			? Math.min(height / capHeight, length / (height > length ? capitalWidth : widestCapital))
			: Math.min(
					0.95 * height,
					height / hand.lineHeight / (letterWidth * Math.min(hand.lettersPerSquare, 2)),
					length / (count * letterWidth + 0.3)
				);
	const along = mark.align === 'center' ? length / 2 : Math.min(0.15, length / 8);
	const baseline = height / 2 + (capHeight * size) / 2;
	return mark.turned
		? { size, x: mark.x + baseline, baseline: mark.y + mark.h - along }
		: { size, x: mark.x + along, baseline: mark.y + baseline };
}
