import { text, type Mark } from '../draw';
import { fitLettering, letteringOf, letters, letterStarts, type Lettering } from '../hand';
import { monthName } from '../month';
import { pageSize, ranked, tooSmall, type Form, type Setting } from './form';

const usualHeight = 6;

function wordOf({ wish, locale, month }: Setting): string {
	return wish.title || monthName(locale, month);
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

/**
 * A word in drawn letters over the width of its room: the largest letters up to the height (default 6)
 * win, then the widest gaps; letters narrower than 2 squares are refused. (Common practice.)
 */
export const title: Form = {
	id: 'title',
	name: 'Lettering',
	spans: ['page'],
	fields: ['title', 'letter'],
	layouts: (setting, room) => {
		const there = pageSize(room);
		const drawn = letters(wordOf(setting));
		const { letter } = setting.wish;
		const height = Math.min(there.h, letter ?? usualHeight);
		const wanted = letter === undefined ? undefined : letteringOf(drawn.length, there.w, letter);
		const spaced = fitLettering(drawn.length, there.w, height);
		const free =
			spaced && spaced.letter >= 2 ? spaced : fitLettering(drawn.length, there.w, height, true);
		const fit = wanted ? (wanted.fits ? wanted.lettering : undefined) : free;
		if (!fit || (letter === undefined && fit.letter < 2) || fit.letter > there.h) {
			const largest =
				free && free.letter > 0 ? `; the largest letters that fit are ${free.letter} wide` : '';
			const least = letter ?? 2;
			const misfit = tooSmall(
				`“${drawn.join('')}” in letters of ${least}`,
				{ w: drawn.length * least + (letter === undefined ? 0 : drawn.length - 1), h: least },
				there
			);
			return ranked([], () => ({ ...misfit, reason: misfit.reason + largest }));
		}
		return ranked(
			[
				{
					room: { span: 'page', w: there.w, h: fit.letter },
					discomfort: fit.gap === 0 && drawn.length > 1 ? 20 : 0,
					stretches: false,
					facts: { letter: fit.letter, gap: fit.gap, used: fit.used },
					why: sums(fit, drawn.length, there.w),
					marks: () => [
						drawn.flatMap((character, index): Mark[] => {
							const x = letterStarts(fit, drawn.length)[index] ?? 0;
							const rect = { x, y: 0, w: fit.letter, h: fit.letter };
							return character === ' ' ? [] : [text(character, rect, 'lettering')];
						})
					]
				}
			],
			() => tooSmall('Lettering', there, there)
		);
	}
};
