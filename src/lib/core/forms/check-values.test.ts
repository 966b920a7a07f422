import { describe, expect, test } from 'vitest';
import { firstOf } from '../../../../tests/support/first-of';
import {
	answer,
	april,
	best,
	february,
	formOf,
	june,
	lacking,
	may,
	page,
	settingOf,
	spread
} from '../../../../tests/support/ruled';
import { settingWith, type Told } from '../../../../tests/support/told';
import { defaultHand } from '../hand';
import { monthShape } from '../month';
import { formById, hexagonColour, hexagonField, misfitOf, type Room } from '.';

// All values here are common practice.

const items = (count: number, letters = 5) =>
	Array.from({ length: count }, (_, n) => ({
		name: 'abcdefghijkl'.slice(0, letters - 1) + (n % 10),
		symbol: '*'
	}));

describe('calendars', () => {
	test('six columns: 4 wide with 4 over on 28, 0 over on 24; 24 high with a header of 4 for five weeks', () => {
		expect(best('six-column-grid', {}, page(28, 40))).toMatchObject({ cell: { w: 4 }, over: 4 });
		expect(best('six-column-grid', {}, page(24, 34))).toMatchObject({ cell: { w: 4 }, over: 0 });
		const five = { header: 4, cell: { w: 4, h: 4 } };
		expect(best('six-column-grid', five, page(28, 40), april)).toMatchObject({ size: { h: 24 } });
	});

	test('six columns are counted from Monday, and every shared cell holds both days', () => {
		const found = answer('six-column-grid', {}, page(28, 40), may, 'sunday');
		const [marks = []] = firstOf(found).marks();
		const dates = marks.flatMap((mark) =>
			mark.kind === 'text' && mark.style === 'figure' ? [[Number(mark.text), mark.x, mark.y]] : []
		);
		expect(dates).toHaveLength(31);
		const at = (day: number) => dates.find(([date]) => date === day);
		// 1 May 2027 is a Saturday, 2 May the Sunday below it.
		expect(at(1)?.[1]).toBe(20);
		expect(at(2)?.[1]).toBe(20);
		expect(at(2)?.[2]).toBeGreaterThan(at(1)?.[2] ?? 0);
		expect(at(3)?.[1]).toBe(0);
	});

	test('weekdays down: 5 × 5 in 28 × 36 for five weeks; 3 wide on 24 for six', () => {
		expect(best('weekday-rows', {}, page(28, 36), april).cell).toEqual({ w: 5, h: 5 });
		expect(best('weekday-rows', {}, page(24, 34)).cell?.w).toBe(3);
	});

	test('a month list of 31 days is 33 high, of 34 too; in 29 rows two parts of 16 + 2', () => {
		expect(best('month-list', {}, page(28, 40))).toMatchObject({ across: 1, size: { h: 33 } });
		expect(best('month-list', {}, page(28, 34))).toMatchObject({ across: 1, size: { h: 33 } });
		expect(best('month-list', {}, page(28, 29))).toMatchObject({
			across: 2,
			rows: 16,
			size: { h: 18 }
		});
	});

	test('five weeks of boxes in 40 − 4 are 7 high, 1 over', () => {
		expect(best('week-boxes-list', { title: 'Well?' }, page(28, 40), april)).toMatchObject({
			title: 4,
			cell: { h: 7 },
			over: 1
		});
	});
});

describe('habits', () => {
	test('days down with labels of 10 letters: 5 + 31 = 36 of 40; on 34 symbols: 32', () => {
		const ten = { items: items(6, 10) };
		expect(best('matrix-days-down', ten, page(28, 40))).toMatchObject({
			label: 5,
			size: { w: 8, h: 36 }
		});
		expect(best('matrix-days-down', ten, page(28, 34))).toMatchObject({
			label: 1,
			size: { h: 32 }
		});
	});

	test('days across with labels of 6: 22 days left and 9 right, never on one page of 28', () => {
		const six = { items: items(4, 12) };
		expect(best('matrix-days-across', six, spread(28, 28))).toMatchObject({
			label: 6,
			split: [22, 9]
		});
		expect(lacking('matrix-days-across', six, page(28, 40))).toEqual({ w: 4, h: 0 });
		expect(best('matrix-days-across', six, page(37, 40)).days).toBe(31);
	});

	test('strips of 12: 7 + 12 + 12 and 5 free; 30 days 6 free; 28 days 4 and 8 free', () => {
		const one = { items: items(1) };
		expect(best('strips', one, page(28, 40))).toMatchObject({ rows: 3, first: 7, free: 5 });
		expect(best('strips', one, page(28, 40), april)).toMatchObject({ first: 6, free: 6 });
		expect(best('strips', one, page(28, 40), february)).toMatchObject({ first: 4, free: 8 });
	});

	test('strips of 10: 1 and 9 free for 31 days; no room for a name with 30', () => {
		const ten = { items: items(1), across: 10 };
		expect(best('strips', ten, page(28, 40))).toMatchObject({ first: 1, free: 9 });
		expect(answer('strips', ten, page(28, 40), june)).toEqual([]);
	});

	test('eight strips with gaps of 1 are 31 high; two abreast are 25 wide', () => {
		expect(best('strips', { items: items(8) }, page(24, 40)).size).toEqual({ w: 12, h: 31 });
		expect(best('strips', { items: items(8) }, page(25, 40))).toMatchObject({
			abreast: 2,
			size: { w: 25, h: 15 }
		});
	});

	test('May 2027 from Monday has 6 weekly boxes; n a week are capped at the days present', () => {
		const weekly = { items: [{ name: 'Bread', rhythm: 'weekly' as const }] };
		expect(best('rhythm-boxes', weekly, page(28, 40)).capacity).toBe(6);
		const thrice = { items: [{ name: 'Walk', rhythm: 'times-a-week' as const, goal: 3 }] };
		// The first week holds two days, the last one.
		expect(best('rhythm-boxes', thrice, page(28, 40)).capacity).toBe(2 + 3 * 4 + 1);
		const monthly = { items: [{ name: 'Oil', rhythm: 'monthly' as const }] };
		expect(best('rhythm-boxes', monthly, page(28, 40)).capacity).toBe(1);
		// What is said to have no rhythm is done every day, as its records have it.
		expect(best('rhythm-boxes', { items: items(1) }, page(48, 40)).capacity).toBe(31);
	});

	test('below a calendar under a wider title the room is as wide as the title, inside the page', () => {
		const wish = { title: 'Months', cell: { w: 1, h: 1 } };
		const below = answer('month-grid', wish, page(17, 14)).map(({ rooms }) => rooms?.[0]);
		expect(below.map((room) => [room?.x, room?.w])).toEqual([
			[0, 17],
			[0, 14]
		]);
	});

	test('a calendar that nobody gave a cell has none below 2, too small for a date and a sign', () => {
		expect(answer('month-grid', {}, page(13, 40))).toEqual([]);
		expect(answer('month-grid', {}, page(28, 12))).toEqual([]);
		expect(best('month-grid', {}, page(14, 40)).cell?.w).toBe(2);
		expect(best('month-grid', { cell: { w: 1, h: 1 } }, page(13, 40)).cell?.w).toBe(1);
	});

	test('notes below say how it is marked, what counts as done and what belongs together', () => {
		const wish: Told = {
			items: [
				{ name: 'Walk', group: 'health', goal: 20 },
				{ name: 'Oven', group: 'home' },
				{ name: 'Water', group: 'health' }
			],
			done: 'filled',
			missed: 'crossed',
			note: 'a walk is half an hour',
			showGoals: true
		};
		for (const id of ['strips', 'matrix-days-down', 'ring']) {
			const found = answer(id, wish, page(28, 40), february);
			const [marks = []] = firstOf(found).marks();
			const texts = marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));
			const all = texts.join(' ');
			expect(all).toContain('half an hour');
			expect(all).toMatch(/filled: done,/);
			expect(all.replace(/\s+/g, ' ')).toMatch(/health: Walk,/);
		}
		const set = answer('mini-calendar-set', wish, page(28, 40), february);
		const [marks = []] = firstOf(set).marks();
		const headings = marks.flatMap((mark) =>
			mark.kind === 'text' && ['health', 'home'].includes(mark.text) ? [mark.text] : []
		);
		expect(headings).toEqual(['health', 'home']);
		const names = marks.flatMap((mark) =>
			mark.kind === 'text' && ['Walk 20×', 'Water', 'Oven'].includes(mark.text) ? [mark.text] : []
		);
		expect(names).toEqual(['Walk 20×', 'Water', 'Oven']);
	});

	test('a ring has a cell for each day', () => {
		for (const month of [may, april, february]) {
			const found = answer('ring', {}, page(28, 40), month);
			const { across = 0, down = 0, days = 0 } = firstOf(found).facts;
			expect(2 * (across + down) - 4 - days).toBeGreaterThanOrEqual(0);
			expect(2 * (across + down) - 4 - days).toBeLessThanOrEqual(1);
		}
	});
});

describe('a tracker round a picture', () => {
	const picture = (count: number, w: number, month = may) =>
		answer(
			'ring',
			{ lines: 'picture', items: items(count), titleStyle: 'none' },
			page(w, 40),
			month
		);

	test('k habits take 10 + 2k: 18 for 4, 26 for 8; 23 wide holds 6, 17 wide 3', () => {
		const side = (count: number, w: number) => {
			const [found] = picture(count, w);
			return found?.room.span === 'page' ? found.room.w : 0;
		};
		expect([4, 8].map((count) => side(count, 28))).toEqual([18, 26]);
		expect([6, 7].map((count) => side(count, 23))).toEqual([22, 0]);
		expect([3, 4].map((count) => side(count, 17))).toEqual([16, 0]);
	});

	test('a day stands in one line over all habits, clockwise from the top left, 31 on the fourth side', () => {
		const [marks = []] = firstOf(picture(3, 28)).marks();
		const at = (day: number) =>
			marks.flatMap((mark) =>
				mark.kind === 'field' && mark.about.day === day ? [[mark.x, mark.y]] : []
			);
		expect(at(1)).toEqual([
			[3, 2],
			[3, 1],
			[3, 0]
		]);
		expect(at(11)).toEqual([
			[13, 3],
			[14, 3],
			[15, 3]
		]);
		expect(at(30)).toEqual([
			[3, 13],
			[3, 14],
			[3, 15]
		]);
		expect(at(31)).toEqual([
			[2, 12],
			[1, 12],
			[0, 12]
		]);
		const turned = marks.filter((mark) => mark.kind === 'text' && mark.turned);
		expect(turned).toHaveLength(3);
		expect(turned[0]).toMatchObject({ y: 3, h: 9 });
	});
});

describe('cells, lines, bars and hours', () => {
	test('dot hexagons of 4 on 28 × 40: 9 columns, 86 places', () => {
		expect(hexagonField({ w: 28, h: 40 }, { w: 4, h: 4, inset: 1 })).toEqual({
			columns: 9,
			rows: [10, 9],
			places: 86
		});
	});

	test('wider ones of 6 × 4 are 5 apart: 5 columns of 7 and 6 hold 33 on 26 × 28, of 8 there are 16', () => {
		const wide = { w: 6, h: 4, inset: 1 };
		expect(hexagonField({ w: 28, h: 28 }, wide)).toEqual({ columns: 5, rows: [7, 6], places: 33 });
		const grown = answer('day-cells', { shape: 'hexagon' }, page(28, 40)).find(
			({ facts }) => facts.cell?.w === 6
		);
		expect(grown).toMatchObject({ generous: true, room: { w: 26 }, facts: { across: 5, down: 7 } });
		expect(hexagonField({ w: 28, h: 36 }, { w: 8, h: 8, inset: 2 }).places).toBe(16);
	});

	test('three colours keep neighbouring hexagons apart', () => {
		const { columns, rows } = hexagonField({ w: 28, h: 40 }, { w: 4, h: 4, inset: 1 });
		for (let column = 0; column < columns; column++)
			for (let row = 0; row < (rows[column % 2] ?? 0); row++) {
				const lower = column % 2;
				// The hexagon below, and the two that touch on the right.
				const neighbours = [
					[column, row + 1],
					[column + 1, row - 1 + lower],
					[column + 1, row + lower]
				] as const;
				for (const [c, r] of neighbours)
					expect(hexagonColour(c, r)).not.toBe(hexagonColour(column, row));
			}
	});

	test('a hexagon month has exactly as many cells as days, all corners on dots', () => {
		for (const [month, days] of [
			[may, 31],
			[february, 28]
		] as const) {
			const found = answer('day-cells', { shape: 'hexagon' }, page(28, 40), month);
			const [marks = []] = firstOf(found).marks();
			const dates = marks.filter((mark) => mark.kind === 'text' && mark.style === 'figure');
			expect(dates).toHaveLength(days);
		}
	});

	test('lines of 1: 33 high; lines of 2 over two pages: 16 and 15 days, 34 and 32 high', () => {
		expect(best('day-lines', { lineHeight: 1 }, page(28, 40)).size?.h).toBe(33);
		const two = best('day-lines', { lineHeight: 2 }, spread(28, 28));
		expect(two.split).toEqual([16, 15]);
		expect(two.room).toMatchObject({ left: { h: 34 }, right: { h: 32 } });
	});

	test('24 hours take 28 exactly; 24 squares hold 20 hours', () => {
		expect(best('hours', {}, page(28, 40))).toMatchObject({ hours: 24, size: { w: 28 } });
		expect(best('hours', {}, page(24, 34))).toMatchObject({ hours: 20, over: 0 });
	});

	test('bedtime and waking of 8 hours each are 20 wide', () => {
		expect(best('bed-wake', { hours: 8 }, page(28, 40)).size?.w).toBe(20);
	});
});

describe('tables', () => {
	const columns = (item: number, ...more: number[]) => [
		{ name: 'Item', width: item },
		...more.map((width, index) => ({ name: `c${index}`, width }))
	];

	test('6 + 3 + 3 twice with a gap of 2: 26 wide, 35 rows, 70 entries', () => {
		const found = best('table', { title: 'Spending', columns: columns(6, 3, 3) }, page(28, 40));
		expect(found).toMatchObject({ abreast: 2, gap: 2, rows: 35, capacity: 70, size: { w: 26 } });
	});

	test('with a date column 14 twice is 29, too wide for 28; with 5 it is 28 exactly', () => {
		expect(best('table', { columns: columns(6, 3, 3, 2) }, page(28, 40)).abreast).toBe(1);
		expect(lacking('table', { columns: columns(6, 3, 3, 2), tables: 2 }, page(28, 40))?.w).toBe(1);
		expect(best('table', { columns: columns(5, 3, 3, 2) }, page(28, 40))).toMatchObject({
			abreast: 2,
			gap: 2,
			over: 0
		});
	});

	test('a third table stands on a large page only for those who want so many entries', () => {
		const wish = { columns: columns(6, 3, 3) };
		expect(best('table', wish, page(40, 57))).toMatchObject({ abreast: 2, rows: 56 });
		expect(best('table', { ...wish, entries: 160 }, page(40, 57)).abreast).toBe(3);
	});

	test('no table is offered in a size in which a more comfortable one would be drawn', () => {
		const wish = { entries: 10, columns: [{ name: 'Item', width: 1 }] };
		// Three abreast would be 7 × 5, and four abreast, which are liked better, are 7 × 4.
		const found = answer('table', wish, page(7, 5));
		const sizes = found.filter(({ generous }) => !generous).map(({ room }) => room);
		expect(sizes[0]).toEqual(page(7, 4));
		expect(sizes).not.toContainEqual(page(7, 5));
	});

	test('a table lasts for as many entries as asked for', () => {
		const wish = { columns: columns(6, 3, 3), entries: 31 };
		expect(best('table', wish, page(28, 40))).toMatchObject({ rows: 16, capacity: 32 });
	});

	test('too many columns are said before anything is drawn', () => {
		const wish = { columns: Array.from({ length: 12 }, (_, n) => ({ name: `c${n}`, width: 3 })) };
		expect(lacking('table', wish, page(28, 40))).toEqual({ w: 8, h: 0 });
	});
});

describe('weeks', () => {
	test('eight rows of 5 on 40; of 4 on 34, 2 over', () => {
		expect(best('week-rows', {}, page(28, 40))).toMatchObject({ cell: { h: 5 }, over: 0 });
		expect(best('week-rows', {}, page(24, 34))).toMatchObject({ cell: { h: 4 }, over: 2 });
	});

	test('columns 7 wide on 28, 6 on 24; over the fold 8', () => {
		expect(best('week-columns', {}, spread(28, 28)).cell?.w).toBe(7);
		expect(best('week-columns', {}, spread(24, 24, 34)).cell?.w).toBe(6);
		expect(best('week-columns', { shape: 'over-fold' }, spread(28, 28)).cell?.w).toBe(8);
	});

	test('boxes with a frame 5 in and a gap of 1 are 11 wide', () => {
		expect(best('week-boxes', { frame: 5 }, spread(28, 28)).cell?.w).toBe(11);
	});

	test('a box 9 wide over the fold is drawn 7 wide', () => {
		expect(best('week-staggered', {}, spread(28, 28))).toMatchObject({
			cell: { w: 9, h: 13 },
			used: 7
		});
	});

	test('staggered boxes are larger on larger pages: 12 columns and 17 rows more make them 4 wider and 8 higher', () => {
		expect(best('week-staggered', {}, spread(40, 40, 57)).cell).toEqual({ w: 13, h: 21 });
	});
});

describe('events', () => {
	const events = [
		{ day: 12, time: '19:30', text: 'Choir' },
		{ day: 12, text: 'Bake for the crew' },
		{ day: 12, text: 'Oil change' },
		{ day: 31, text: 'Dry dock' }
	];

	test('stand below their date; what finds no row is named, and goes to the side on request', () => {
		const textsOf = (wish: Told) => {
			const found = answer('month-grid', { cell: { w: 6, h: 3 }, events, ...wish }, spread(28, 28));
			const layout = firstOf(found);
			return {
				why: layout.why.join('; '),
				texts: layout
					.marks()
					.flat()
					.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []))
			};
		};
		const plain = textsOf({});
		expect(plain.why).toContain('busiest day: date 1 + 3 events = 4 of 3');
		expect(plain.why).toContain('no room in the cell for 12 Oil change');
		expect(plain.texts).toContain('19:30 Choir');
		expect(plain.texts).toContain('Bake for th.');
		expect(plain.texts).not.toContain('Oil change');
		expect(textsOf({ overflow: true }).texts).toContain('12 Oil change');
	});

	test('the busiest day sizes the cells', () => {
		const found = answer('month-grid', { events }, spread(28, 28));
		expect(firstOf(found).facts.cell?.h).toBeGreaterThanOrEqual(4);
	});
});

describe('the measured hand', () => {
	const drawnBy = (id: string, wish: Told, hand: Partial<typeof defaultHand>) => {
		const month = monthShape(may, 'monday');
		const setting = settingWith(wish, { month, hand: { ...defaultHand, ...hand } });
		// No table fills this width exactly, so none grows.
		const found = formById(id)?.layouts(setting, page(27, 40));
		return firstOf(found);
	};

	test('lines of 2 halve the rows of a table and the columns take the letters they need', () => {
		const columns = [{ name: 'Concertina' }, { name: 'Cost', longest: '1,250.00' }];
		const usual = drawnBy('table', { columns }, {});
		const large = drawnBy('table', { columns }, { lettersPerSquare: 1, lineHeight: 2 });
		expect(usual.facts).toMatchObject({ rows: 39, lineHeight: 1 });
		expect(usual.why[0]).toBe('Concertina 5 + Cost 4 = 9');
		expect(large.facts).toMatchObject({ rows: 19, lineHeight: 2 });
		expect(large.why[0]).toBe('Concertina 10 + Cost 8 = 18');
	});

	test('a line a day is as high as the hand writes', () => {
		expect(drawnBy('day-lines', {}, { lineHeight: 1 }).facts.lineHeight).toBe(1);
		const large = { ...settingOf({}), hand: { ...defaultHand, lineHeight: 2 } };
		expect(formOf('day-lines').layouts(large, page(28, 40))).toEqual([]);
		expect(misfitOf(formOf('day-lines'), large, page(28, 40)).lacking).toEqual({ w: 0, h: 22 });
	});

	test('large figures prefer cells of two squares, and say what one square costs', () => {
		const large = { figuresPerSquare: 1 };
		expect(drawnBy('mini-calendar', { cell: 1 }, large).why.at(-1)).toBe(
			'two figures take 2 squares in your hand: write the dates smaller'
		);
		expect(drawnBy('mini-calendar', { cell: 2 }, large).why).toHaveLength(2);
		expect(drawnBy('mini-calendar', { cell: 1 }, {}).why).toHaveLength(2);
	});
});

describe('boxes and lists', () => {
	test.each([
		[4, 2, 2, 13, 17],
		[6, 2, 3, 13, 11]
	])('%i boxes on 28 × 36 stand %i × %i, each %i × %i', (count, across, down, w, h) => {
		const parts = Array.from({ length: count }, (_, index) => `Box ${index}`);
		const found = best('boxes', { parts, across }, page(28, 36));
		expect(found).toMatchObject({ across, down, cell: { w, h }, gap: 1, over: 1 });
	});

	test('four boxes stand two by two by themselves', () => {
		expect(best('boxes', {}, page(28, 36))).toMatchObject({ across: 2, down: 2 });
	});

	test('three numbered goals take a title and three lines', () => {
		const goals = { title: 'Goals', lines: 3, marks: 'number', lineHeight: 2 };
		// Title 4 + 3 lines of 2 = 10.
		expect(best('lists', goals, page(28, 39))).toMatchObject({ rows: 3, size: { w: 28, h: 10 } });
	});

	test('three lists stand side by side and fill their room', () => {
		const parts = ['Now', 'Soon', 'Some day'];
		// (28 − 2) ÷ 3 = 8; name 1 + 35 lines below the title's 4.
		expect(best('lists', { title: 'To buy', parts }, page(28, 40))).toMatchObject({
			across: 3,
			rows: 35,
			capacity: 105,
			over: 2
		});
	});
});

describe('scales and nights', () => {
	test('steps from 0 to 12,000 by 2,000 take 6 × 3 squares, by 1,000 twelve', () => {
		const steps = { first: 0, last: 12_000, step: 2000 };
		expect(best('day-bars', steps, page(28, 40)).across).toBe(18);
		expect(best('day-bars', { ...steps, step: 1000 }, page(28, 40)).across).toBe(12);
		expect(best('day-bars', { first: 58, last: 64, step: 1, bar: 10 }, page(28, 40)).across).toBe(
			6
		);
		const texts = firstOf(answer('day-bars', steps, page(28, 40)))
			.marks()
			.flat()
			.flatMap((mark) => (mark.kind === 'text' && mark.y === 0 ? [mark.text] : []));
		expect(texts).toEqual(['2000', '4000', '6000', '8000', '10000', '12000']);
	});

	test('a night from 18 o’clock shows 18 hours or more, with a square for two where it must', () => {
		// 28 − 2 − 2 = 24 hours; 22 − 4 = 18; 21 − 4 = 17 squares would end at 11, so a square is two hours.
		expect(best('hours', {}, page(28, 40)).hours).toBe(24);
		expect(best('hours', {}, page(22, 40)).hours).toBe(18);
		expect(best('hours', {}, page(21, 40))).toMatchObject({ hours: 24, size: { w: 16 } });
		expect(best('hours', {}, page(13, 40))).toMatchObject({ hours: 18, size: { w: 13 } });
		expect(answer('hours', {}, page(12, 40))).toEqual([]);
	});
});

test('a calendar on one page has cells higher than wide: 4 × 5 on 28 × 40 in six weeks', () => {
	// 7 × 4 = 28; title 4 + header 1 + 6 × 5 = 35.
	const found = best('month-grid', { title: 'May' }, page(28, 40));
	expect(found).toMatchObject({ cell: { w: 4, h: 5 }, size: { w: 28, h: 35 } });
});

test('only Sundays are tinted where only they are days of rest', () => {
	const tints = (restDays: string) =>
		firstOf(answer('month-grid', { restDays }, page(28, 40)))
			.marks()
			.flat()
			.filter((mark) => mark.kind === 'tint' && mark.tone === 'rest').length;
	// May 2027 has five Saturdays and five Sundays.
	expect([tints('weekend'), tints('sunday'), tints('none')]).toEqual([10, 5, 0]);
});

describe('low and small books', () => {
	const low: Room = {
		span: 'spread',
		left: { w: 19, h: 28 },
		right: { w: 19, h: 28 },
		gutter: 2
	};

	test('sleep comes in two halves over a spread of 19 × 28, two hours a square', () => {
		expect(answer('hours', { title: 'Sleep' }, page(19, 28))).toEqual([]);
		const layout = firstOf(answer('hours', { title: 'Sleep' }, low));
		// Title 4 + header 1 + 16 days = 21; right below the title's rows 1 + 15.
		expect(layout.room).toMatchObject({ left: { h: 21 }, right: { h: 20 } });
		expect(layout.facts).toMatchObject({ hours: 24, days: 31, split: [16, 15] });
		const days = layout
			.marks()
			.map((marks) =>
				marks.flatMap((mark) =>
					mark.kind === 'text' && mark.style === 'figure' && mark.x === 0 ? [Number(mark.text)] : []
				)
			);
		expect(days.map((part) => [part[0], part.at(-1)])).toEqual([
			[1, 16],
			[17, 31]
		]);
	});

	test('habits stand in halves beside each other where a page is too low', () => {
		const habits = { items: items(3, 4) };
		// 2 × (2 + 3) + 1 = 11; label 2 + 16 days.
		expect(best('matrix-days-down', habits, page(19, 28)).size).toEqual({ w: 11, h: 18 });
		expect(best('matrix-days-down', habits, page(19, 34)).size).toEqual({ w: 5, h: 33 });
	});
});
