import { describe, expect, test } from 'vitest';
import type { Mark } from '../draw';
import { defaultHand } from '../hand';
import { monthShape } from '../month';
import { formById, type FormParameters } from '.';

function lettered(wish: FormParameters, w: number, h: number) {
	const month = monthShape({ year: 2027, month: 5 }, 'monday');
	const answer = formById('title')?.layouts(
		{ month, hand: defaultHand, locale: 'en', wish },
		{ span: 'page', w, h }
	);
	if (!answer) throw new Error('no form');
	if (!answer.fits) return answer.misfit.reason;
	return answer.layouts.map((layout) => ({
		...layout,
		letters: layout.marks().flat().map(placed)
	}));
}

function placed(mark: Mark) {
	if (mark.kind !== 'text') throw new Error('only letters are drawn');
	return [mark.text, mark.x, mark.y, mark.w];
}

describe('a word too long for one line', () => {
	const word = 'NIGHT CROSSINGS';

	test('stands in two lines, parted at its space, both in letters of one size', () => {
		const found = lettered({ title: word }, 28, 40);
		if (typeof found === 'string') throw new Error(found);
		const [two] = found;
		// 9 letters of CROSSINGS in 28: 2 wide, gaps of 1 = 26, margins 1 + 1 (common practice).
		expect(two?.facts).toMatchObject({ letter: 2, gap: 1, used: 26 });
		expect(two?.room).toMatchObject({ w: 28, h: 2 + 1 + 2 });
		expect(two?.letters.filter(([, , y]) => y === 3)).toEqual(
			[...'CROSSINGS'].map((letter, index) => [letter, 1 + 3 * index, 3, 2])
		);
		expect(two?.letters.filter(([, , y]) => y === 0).map(([letter]) => letter)).toEqual([
			...'NIGHT'
		]);
	});

	test('or upright down the side', () => {
		const found = lettered({ title: word }, 28, 40);
		if (typeof found === 'string') throw new Error(found);
		const upright = found.find(({ room }) => room.span === 'page' && room.w < 28);
		// 15 letters in 40: 2 high, no gaps above 0 but (40 − 30) ÷ 14; 5 squares over on each side.
		expect(upright?.facts).toMatchObject({ letter: 2, gap: 0, used: 30 });
		expect(upright?.letters[0]).toEqual(['N', 0, 5, 2]);
	});

	test('without a space it is parted in the middle', () => {
		const found = lettered({ title: 'CONCERTINATUNES' }, 28, 9);
		if (typeof found === 'string') throw new Error(found);
		expect(found[0]?.why[0]).toBe('in two lines: CONCERTI / NATUNES');
	});

	test('says what is missing where neither is possible', () => {
		expect(lettered({ title: word }, 16, 9)).toContain('the largest letters that fit are');
	});
});
