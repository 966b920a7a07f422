import { lineHeight } from '../form/common-rules';
import { text, type Mark } from '../../draw';
import { largestQuote, quoteIn, quoteSize, wordsOf, type FittedQuote } from '../../hand';
import type { Rect, Size } from '../../paper';
import { framed, framedAs, insideFrame } from '../form/framed';
import { pageSize, ranked, type Form, type Layout, type Setting } from '../form/form';

const outline = framedAs('none');

/** Larger letters than these shout. (Common practice.) */
const largestLine = 3;

/** Words shown until a person has chosen some. */
const sample = 'Words for this month';

function wordsIn({ content }: Setting): string {
	return wordsOf(content.text ?? '').length > 0 ? (content.text ?? sample) : sample;
}

/** Where the words stand in a room: inside the frame, if there is one. */
function placeIn(setting: Setting, size: Size): Rect {
	return insideFrame({ x: 0, y: 0, ...size }, outline.of(setting));
}

function toLayout(setting: Setting, size: Size, fitted: FittedQuote, discomfort: number): Layout {
	const { lines, lineHeight, capacity } = fitted;
	const place = placeIn(setting, size);
	const top = place.y + Math.floor((place.h - lines.length * lineHeight) / 2);
	return {
		room: { span: 'page', ...size },
		discomfort,
		stretches: true,
		facts: { rows: lines.length, lineHeight, capacity: lines.length },
		why: [
			`${lines.length} ${lines.length === 1 ? 'line' : 'lines'} × ${lineHeight} = ${lines.length * lineHeight} of ${place.h} down`,
			`at most ${capacity} letters to the line on ${place.w} squares`
		],
		marks: () => [
			[
				...framed({ x: 0, y: 0, ...size }, outline.of(setting)),
				...lines.map((line, index): Mark => {
					const row = { ...place, y: top + index * lineHeight, h: lineHeight };
					return text(line, row, 'hand');
				})
			]
		]
	};
}

/** The lowest room of a width in which words fit, made as narrow as they allow where nothing frames them. */
function smallIn(
	setting: Setting,
	words: string,
	there: Size,
	lineHeight: number
): Size | undefined {
	const width = Math.min(20, there.w);
	if (outline.of(setting) === 'none') return quoteSize(words, width, setting.hand, lineHeight);
	const heights = Array.from({ length: there.h }, (_, index) => index + 1);
	const h = heights.find((h) => {
		const place = placeIn(setting, { w: width, h });
		return quoteIn(words, place.w, place.h, setting.hand, lineHeight);
	});
	return h === undefined ? undefined : { w: width, h };
}

/**
 * A quote in lines of even length: Σ (capacity − length)² over all lines is least. It takes the largest
 * hand that fits, or the line height asked for, and stretches; its smallest size is the usual hand on a
 * width of up to 20 squares. A frame takes its part of the room.
 */
export const quote: Form = {
	id: 'quote',
	name: 'Quote',
	spans: ['page'],
	content: ['text'],
	rules: [lineHeight, outline],
	layouts: (setting, room) => {
		const there = pageSize(room);
		const words = wordsIn(setting);
		const { hand } = setting;
		const wanted = lineHeight.of(setting);
		const least = wanted ?? hand.lineHeight;
		const fitting = (size: Size) => {
			const { w, h } = placeIn(setting, size);
			return wanted === undefined
				? largestQuote(words, w, h, hand, Math.max(largestLine, least))
				: quoteIn(words, w, h, hand, wanted);
		};
		const layouts: Layout[] = [];
		const large = fitting(there);
		// A hand of twice the usual size is read across a room; below that it is a note.
		if (large) layouts.push(toLayout(setting, there, large, large.lineHeight > least ? 0 : 10));
		const small = smallIn(setting, words, there, least);
		const fitted = small && small.h < there.h && fitting(small);
		if (small && fitted) layouts.push(toLayout(setting, small, fitted, 20));
		return ranked(layouts);
	}
};
