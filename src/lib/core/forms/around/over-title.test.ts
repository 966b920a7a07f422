import { describe, expect, test } from 'vitest';
import { settingWith, type Told } from '../../../../../tests/support/told';
import { defaultHand } from '../../hand';
import { monthShape } from '../../month';
import { formById, type Room } from '..';

const room: Room = {
	span: 'spread',
	left: { w: 28, h: 40 },
	right: { w: 28, h: 40 },
	gutter: 2
};

/** Where the letters of a title lie on each page of a spread. */
function lettersIn(id: string, wish: Told): (readonly [string, number])[][] {
	const form = formById(id);
	if (!form) throw new Error(id);
	const month = monthShape({ year: 2027, month: 5 }, 'monday');
	const [layout] = form.layouts(settingWith(wish, { month, hand: defaultHand }), room);
	return (layout?.marks() ?? []).map((marks) =>
		marks.flatMap((mark) =>
			mark.kind === 'text' && mark.style === 'lettering' && mark.y < 4
				? [[mark.text, mark.x] as const]
				: []
		)
	);
}

const lined = (title: string): Told => ({ title, rules: { lineHeight: 2 } });

describe('a title of what lies over both pages', () => {
	test('stands over both, and the fold takes the place of the gap nearest the middle', () => {
		// Common practice: WEEK 19 is 20 to 28 and 0 to 9, IN SIGHT 19 to 28 and 0 to 11.
		expect(lettersIn('day-lines', lined('WEEK 19'))).toEqual([
			[
				['W', 20],
				['E', 23],
				['E', 26]
			],
			[
				['K', 0],
				['1', 4],
				['9', 7]
			]
		]);
		const [left, right] = lettersIn('day-lines', lined('IN SIGHT'));
		expect(left?.map(([, x]) => x)).toEqual([19, 22, 26]);
		expect(right?.map(([, x]) => x)).toEqual([0, 3, 6, 9]);
	});

	test('stands on the left page alone where something else is in its rows on the right one', () => {
		const [left, right] = lettersIn('month-grid', { title: 'May', rules: {} });
		expect((left?.length ?? 0) + (right?.length ?? 0)).toBe(3);
	});

	test('from the right, or in letters that hang together, is one piece on one page', () => {
		const [, right] = lettersIn('day-lines', lined('שבוע'));
		expect(right).toEqual([]);
	});
});
