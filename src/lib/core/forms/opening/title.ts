import { numberRule } from '../form/rule';
import { text, type Mark } from '../../draw';
import {
	fitLettering,
	leastCapital,
	letteringOf,
	letters,
	letterStarts,
	type Lettering
} from '../../hand';
import { monthName } from '../../month';
import type { Size } from '../../paper';
import { pageSize, ranked, type Form, type Layout, type Setting } from '../form/form';
import { drawnLetters } from '../parts/title-band';

const usualHeight = 6;
const letterRule = numberRule({
	name: 'letter',
	label: 'Letters wide',
	least: 1,
	most: 60,
	unit: 'squares',
	chosen: ({ letter }) => letter
});
/** Letters narrower than this are no drawn letters any more, whatever the hand. */
const narrowest = 2;
const lineGap = 1;

function wordOf({ content, locale, month }: Setting): string {
	return content.title?.trim() || monthName(locale, month);
}

/** Why drawn letters start where they do, and by how much the word is off the middle. */
function sums(fit: Lettering, count: number, width: number): string[] {
	const right = width - fit.used - fit.margin;
	const off =
		right === fit.margin
			? []
			: ['half a square left of the middle: the odd square stays on the right'];
	return [
		`${count} letters of ${fit.letter}, gaps of ${fit.gap} = ${fit.used} of ${width}, margins ${fit.margin} + ${right}`,
		`letters start at dots ${letterStarts(fit, count).join(', ')}`,
		...off
	];
}

/** A word's largest letters in a length, up to a height: with gaps where they stay large enough. */
function largest(
	count: number,
	length: number,
	height: number,
	least: number
): Lettering | undefined {
	const spaced = fitLettering(count, length, height);
	return spaced && spaced.letter >= least ? spaced : fitLettering(count, length, height, true);
}

/** Letters down a column that begins at the top. */
function lettersDown(drawn: readonly string[], fit: Lettering): Mark[] {
	const starts = letterStarts(fit, drawn.length);
	return drawn.flatMap((character, index): Mark[] =>
		character === ' '
			? []
			: [
					text(
						character,
						{ x: 0, y: starts[index] ?? 0, w: fit.letter, h: fit.letter },
						'lettering'
					)
				]
	);
}

/** Letters along a line that begins at (0, `y`). */
function lettersAlong(drawn: readonly string[], fit: Lettering, y: number): Mark[] {
	return drawnLetters(drawn, fit, { x: 0, y, w: 0, h: fit.letter });
}

/** A word in two: at the space that leaves the halves most even, or else in the middle. */
function halves(drawn: readonly string[]): readonly [readonly string[], readonly string[]] {
	const uneven = (at: number) => Math.abs(drawn.length - 1 - 2 * at);
	const spaces = drawn.flatMap((character, at) => (character === ' ' ? [at] : []));
	const [space] = spaces.sort((a, b) => uneven(a) - uneven(b));
	if (space !== undefined) return [drawn.slice(0, space), drawn.slice(space + 1)];
	const middle = Math.ceil(drawn.length / 2);
	return [drawn.slice(0, middle), drawn.slice(middle)];
}

function inTwoLines(
	drawn: readonly string[],
	there: Size,
	height: number,
	least: number
): Layout[] {
	const lines = halves(drawn);
	const most = Math.min(height, Math.floor((there.h - lineGap) / 2));
	const longer = Math.max(lines[0].length, lines[1].length);
	const fit = lines[1].length > 0 ? largest(longer, there.w, most, least) : undefined;
	// A strip as narrow as a letter is for letters one below the other.
	if (there.w <= usualHeight || !fit || fit.letter < least) return [];
	const fits = lines.map((line) => largest(line.length, there.w, fit.letter, least) ?? fit);
	const h = 2 * fit.letter + lineGap;
	return [
		{
			room: { span: 'page', w: there.w, h },
			discomfort: drawn.includes(' ') ? 10 : 25,
			stretches: false,
			facts: { letter: fit.letter, gap: fit.gap, used: fit.used },
			why: [
				`in two lines: ${lines.map((line) => line.join('')).join(' / ')}`,
				...fits.flatMap((own, at) => sums(own, lines[at]?.length ?? 0, there.w)),
				`2 × ${fit.letter} + gap ${lineGap} = ${h} down`
			],
			marks: () => [
				fits.flatMap((own, at) => lettersAlong(lines[at] ?? [], own, at * (fit.letter + lineGap)))
			]
		}
	];
}

function downTheSide(
	drawn: readonly string[],
	there: Size,
	height: number,
	least: number
): Layout[] {
	const fit = largest(drawn.length, there.h, Math.min(height, there.w), least);
	if (!fit || fit.letter < least) return [];
	return [
		{
			room: { span: 'page', w: fit.letter, h: there.h },
			discomfort: 30,
			stretches: false,
			facts: { letter: fit.letter, gap: fit.gap, used: fit.used },
			why: [
				`upright, down the side: ${drawn.length} letters of ${fit.letter}, gaps of ${fit.gap} = ${fit.used} of ${there.h}`,
				`letters start at dots ${letterStarts(fit, drawn.length).join(', ')} down`
			],
			marks: () => [lettersDown(drawn, fit)]
		}
	];
}

/**
 * A word in drawn letters over the width of its room: the largest letters up to the height (default 6)
 * win, then the widest gaps. Where one line would leave them narrower than 2 squares, than asked for, or than the hand's smallest capitals, the word stands in two lines or upright down the side. (Common practice.)
 */
export const title: Form = {
	id: 'title',
	name: 'Lettering',
	spans: ['page'],
	content: ['title'],
	rules: [letterRule],
	layouts: (setting, room) => {
		const there = pageSize(room);
		const drawn = letters(wordOf(setting));
		const letter = letterRule.of(setting);
		const height = Math.min(there.h, letter ?? usualHeight);
		const wanted = letter === undefined ? undefined : letteringOf(drawn.length, there.w, letter);
		const smallest = Math.max(narrowest, leastCapital(setting.hand));
		const free = largest(drawn.length, there.w, height, smallest);
		const fit = wanted ? (wanted.fits ? wanted.lettering : undefined) : free;
		const least = letter ?? smallest;
		if (fit && fit.letter >= least && fit.letter <= there.h)
			return [
				{
					room: { span: 'page', w: there.w, h: fit.letter },
					discomfort: fit.gap === 0 && drawn.length > 1 ? 20 : 0,
					stretches: false,
					facts: { letter: fit.letter, gap: fit.gap, used: fit.used },
					why: sums(fit, drawn.length, there.w),
					marks: () => [lettersAlong(drawn, fit, 0)]
				}
			];
		const large = ({ facts }: Layout) => (facts.letter ?? 0) >= least;
		const twoIn = (size: Size) => inTwoLines(drawn, size, height, smallest).filter(large);
		// Where its own strip would bear two lines, it is two lines that would be drawn there.
		const upright = downTheSide(drawn, there, height, smallest)
			.filter(large)
			.filter(({ room }) => twoIn(pageSize(room)).length === 0);
		return ranked([...twoIn(there), ...upright]);
	}
};
