import { lineHeight } from './common-rules';
import { text, type Mark } from '../draw';
import { largestQuote, quoteIn, quoteSize, wordsOf, type FittedQuote } from '../hand';
import type { Size } from '../paper';
import { pageSize, ranked, type Form, type Layout, type Setting } from './form';

/** Words shown until a person has chosen some. */
const sample = 'Words for this month';

function wordsIn({ content }: Setting): string {
	return wordsOf(content.text ?? '').length > 0 ? (content.text ?? sample) : sample;
}

function toLayout(setting: Setting, size: Size, fitted: FittedQuote, discomfort: number): Layout {
	const { lines, lineHeight, capacity } = fitted;
	const top = Math.floor((size.h - lines.length * lineHeight) / 2);
	return {
		room: { span: 'page', ...size },
		discomfort,
		stretches: true,
		facts: { rows: lines.length, lineHeight, capacity: lines.length },
		why: [
			`${lines.length} ${lines.length === 1 ? 'line' : 'lines'} × ${lineHeight} = ${lines.length * lineHeight} of ${size.h} down`,
			`at most ${capacity} letters to the line on ${size.w} squares`
		],
		marks: () => [
			lines.map((line, index): Mark =>
				text(line, { x: 0, y: top + index * lineHeight, w: size.w, h: lineHeight }, 'hand')
			)
		]
	};
}

/**
 * A quote in lines of even length: Σ (capacity − length)² over all lines is least. It takes the largest
 * hand that fits, or the line height asked for, and stretches; its smallest size is the usual hand on a
 * width of up to 20 squares.
 */
export const quote: Form = {
	id: 'quote',
	name: 'Quote',
	spans: ['page'],
	content: ['text'],
	rules: [lineHeight],
	layouts: (setting, room) => {
		const there = pageSize(room);
		const words = wordsIn(setting);
		const { hand } = setting;
		const wanted = lineHeight.of(setting);
		const least = wanted ?? hand.lineHeight;
		const fitting = (size: Size) =>
			wanted === undefined
				? largestQuote(words, size.w, size.h, hand)
				: quoteIn(words, size.w, size.h, hand, wanted);
		const layouts: Layout[] = [];
		const large = fitting(there);
		// A hand of twice the usual size is read across a room; below that it is a note.
		if (large) layouts.push(toLayout(setting, there, large, large.lineHeight > least ? 0 : 10));
		const small = quoteSize(words, Math.min(20, there.w), hand, least);
		const fitted = small && small.h < there.h && fitting(small);
		if (small && fitted) layouts.push(toLayout(setting, small, fitted, 20));
		return ranked(layouts);
	}
};
