import { describe, expect, test } from 'vitest';
import { firstOf } from '../../../../../tests/support/first-of';
import { settingWith, type Told } from '../../../../../tests/support/told';
import type { Mark } from '../../draw';
import { defaultHand } from '../../hand';
import { monthShape } from '../../month';
import { formById, misfitOf, type Room } from '..';

function lettered(wish: Told, w: number, h: number, letteringPerSquare = 1) {
	const month = monthShape({ year: 2027, month: 5 }, 'monday');
	const form = formById('title');
	if (!form) throw new Error('no form');
	const hand = { ...defaultHand, letteringPerSquare };
	const setting = settingWith(wish, { month, hand });
	const room: Room = { span: 'page', w, h };
	const answer = form.layouts(setting, room);
	if (answer.length === 0) return misfitOf(form, setting, room).reason;
	return answer.map((layout) => ({
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
		// Down the side: 15 letters of 2, one below the other.
		expect(lettered({ title: word }, 16, 9)).toBe(
			'Lettering needs 16 × 30 squares and there are 16 × 9: 21 down missing'
		);
	});
});

describe('the measured capitals of a hand', () => {
	test('decide whether a word goes on one line', () => {
		const one = lettered({ title: 'CROSSINGS' }, 28, 20);
		const large = lettered({ title: 'CROSSINGS' }, 28, 20, 1 / 3);
		if (typeof one === 'string' || typeof large === 'string') throw new Error('no lettering');
		// 9 letters of 2 and 8 gaps of 1 are 26 of 28; letters of 3 go only without gaps.
		expect(one[0]?.facts).toMatchObject({ letter: 2, gap: 1 });
		expect(large[0]?.facts).toMatchObject({ letter: 3, gap: 0 });
	});

	test('make the letters of a title wider, and let it be written where they do not fit', () => {
		const title = (letteringPerSquare: number) => {
			const answer = formById('table')?.layouts(
				settingWith({ title: 'MONEY SPENT' }, { hand: { ...defaultHand, letteringPerSquare } }),
				{ span: 'page', w: 28, h: 40 }
			);
			return firstOf(answer)
				.marks()[0]
				?.filter((mark) => mark.kind === 'text' && mark.y === 0);
		};
		// 11 letters of 2 without gaps take 22 of 28; of 3 they would take 33.
		expect(title(1)).toHaveLength(10);
		expect(title(1 / 3)).toMatchObject([{ text: 'MONEY SPENT', style: 'hand' }]);
	});

	test('a word that runs from the right is drawn from the right; one that hangs together in one piece', () => {
		const hebrew = lettered({ title: 'אבג' }, 20, 6);
		const arabic = lettered({ title: 'شهر' }, 20, 6);
		if (typeof hebrew === 'string' || typeof arabic === 'string') throw new Error('no lettering');
		const [first, , last] = hebrew[0]?.letters ?? [];
		expect(first?.[0]).toBe('א');
		expect(Number(first?.[1])).toBeGreaterThan(Number(last?.[1]));
		expect(arabic[0]?.letters).toEqual([['شهر', 0, 0, 20]]);
	});
});
