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

/**
 * Type size and baseline of a text mark: as large as the hand writes (letters per square), never
 * higher than its rectangle, never longer than it.
 */
export function setText(mark: TextMark, hand: Hand): Setting {
	const count = Math.max(1, letters(mark.text).length);
	const size =
		mark.style === 'lettering'
			? Math.min(mark.h / capHeight, mark.w / 0.8)
			: Math.min(
					0.95 * mark.h,
					mark.h / hand.lineHeight / (letterWidth * Math.min(hand.lettersPerSquare, 2)),
					mark.w / (count * letterWidth + 0.3)
				);
	return {
		size,
		x: mark.align === 'center' ? mark.x + mark.w / 2 : mark.x + Math.min(0.15, mark.w / 8),
		baseline: mark.y + mark.h / 2 + (capHeight * size) / 2
	};
}
