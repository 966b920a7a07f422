import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { often } from '../../../../tests/support/effort';
import { firstOf } from '../../../../tests/support/first-of';
import {
	a5,
	anyContent,
	anyHand,
	anyLocale,
	anyMonth,
	anyWeekStart,
	small
} from '../../../../tests/support/arbitraries';
import { anyRules, anyValue } from '../../../../tests/support/any-rules';
import { settingWith, type Told } from '../../../../tests/support/told';
import type { Mark } from '../draw';
import { monthShape, cellOf, type YearMonth } from '../month';
import { contains, overlaps, type Notebook, type Size } from '../paper';
import { formById, misfitOf, forms, type Form, type Room, type Setting } from '.';

const may: YearMonth = { year: 2027, month: 5 };

function setting(wish: Told, month = may): Setting {
	return settingWith(wish, { month: monthShape(month, 'monday') });
}

function form(id: string): Form {
	const found = formById(id);
	if (!found) throw new Error(id);
	return found;
}

const page = (w: number, h: number): Room => ({ span: 'page', w, h });
const spread = (left: Notebook | Size, right: Notebook | Size): Room => {
	const size = (paper: Notebook | Size) =>
		'columns' in paper ? { w: paper.columns, h: paper.rows } : paper;
	return { span: 'spread', left: size(left), right: size(right), gutter: 2 };
};

const factsOf = (id: string, wish: Told, room: Room, month = may) =>
	firstOf(form(id).layouts(setting(wish, month), room)).facts;

// Check values: common practice.
describe('month grid', () => {
	test('on a page 28 wide the cells are 4 wide', () => {
		expect(factsOf('month-grid', {}, page(28, 40))).toMatchObject({ cell: { w: 4 }, over: 0 });
	});

	test.each([
		[5, 4, [8, 13]],
		[5, 5, [3, 18]],
		[6, 4, [4, 10]],
		[7, 4, [0, 7]]
	] as const)('over 28 + 28, cells %i wide, %i columns left, over %j', (w, split, over) => {
		const facts = factsOf('month-grid', { cell: { w, h: 5 }, split }, spread(a5, a5));
		expect(facts).toMatchObject({ split: [split, 7 - split], over });
	});

	test('over 28 + 12, cells 5 wide stand only as 5 + 2, 2 over on the right', () => {
		const answer = form('month-grid').layouts(
			setting({ cell: { w: 5, h: 5 } }),
			spread({ w: 28, h: 40 }, { w: 12, h: 40 })
		);
		expect(answer.map(({ facts }) => facts)).toEqual([
			expect.objectContaining({ split: [5, 2], over: [3, 2] })
		]);
	});

	test('six weeks of 6 are 37 high, of 5 31 high; 6 do not fit in 34', () => {
		const high = (h: number, rows: number) => {
			const { room } = firstOf(
				form('month-grid').layouts(
					setting({ cell: { w: 5, h } }),
					spread({ w: 28, h: rows }, { w: 28, h: rows })
				)
			);
			return room.span === 'spread' ? room.left.h : 0;
		};
		expect(high(6, 40)).toBe(37);
		expect(high(5, 34)).toBe(31);
		const wish = setting({ cell: { w: 3, h: 6 } });
		expect(form('month-grid').layouts(wish, spread(small, small))).toEqual([]);
		expect(misfitOf(form('month-grid'), wish, spread(small, small)).lacking).toEqual({
			w: 0,
			h: 3
		});
	});
});

describe('mini calendars', () => {
	test('May 2027 from Monday: 7 × 8 with a title at 1 square a day, 14 × 15 at 2', () => {
		const size = (c: number) =>
			firstOf(
				form('mini-calendar').layouts(
					setting({ title: 'May', titleStyle: 'written', cell: c }),
					page(28, 40)
				)
			).room;
		expect(size(1)).toEqual(page(7, 8));
		expect(size(2)).toEqual(page(14, 15));
	});

	test('one with a page to itself has letters like any other page, where they fit', () => {
		const sizes = form('mini-calendar')
			.layouts(setting({ title: 'Mood' }), page(28, 40))
			.map(({ room, facts }) => [room, facts.title]);
		expect(sizes).toContainEqual([page(14, 4 + 14), 4]);
	});

	const items = (count: number) => Array.from({ length: count }, (_, n) => ({ name: `h${n}` }));

	test.each([
		[1, 23],
		[2, 25],
		[3, 27]
	])('three across 28 stand with gaps of %i: %i used', (gap, used) => {
		const { room, facts } = firstOf(
			form('mini-calendar-set').layouts(setting({ items: items(3), gap }), page(28, 40))
		);
		expect(facts.across).toBe(3);
		expect(room).toMatchObject({ w: used });
	});

	test('gaps are widened to 3 on 28 and stay 1 on 24; gaps of 4 leave two across', () => {
		expect(factsOf('mini-calendar-set', { items: items(3) }, page(28, 40))).toMatchObject({
			across: 3,
			gap: 3
		});
		expect(factsOf('mini-calendar-set', { items: items(3) }, page(24, 34))).toMatchObject({
			across: 3,
			gap: 1
		});
		expect(factsOf('mini-calendar-set', { items: items(3), gap: 4 }, page(28, 40)).across).toBe(2);
	});

	test('at 2 squares a day one stands across 28', () => {
		const wish = { items: items(2), cell: 2 };
		expect(factsOf('mini-calendar-set', wish, page(28, 40)).across).toBe(1);
		expect(factsOf('mini-calendar-set', wish, page(29, 40)).across).toBe(2);
	});

	test('twelve in a six-week month are 3 × 4, 35 high, and do not go into 34', () => {
		const wish = setting({ items: items(12), gap: 1 });
		const { room, facts } = firstOf(form('mini-calendar-set').layouts(wish, page(28, 40)));
		expect(facts).toMatchObject({ across: 3, down: 4 });
		expect(room).toMatchObject({ h: 35 });
		expect(form('mini-calendar-set').layouts(wish, page(28, 34))).toEqual([]);
		expect(misfitOf(form('mini-calendar-set'), wish, page(28, 34)).lacking).toEqual({ w: 0, h: 1 });
	});
});

/** Rectangle that a mark takes up. */
function extent(mark: Mark) {
	switch (mark.kind) {
		case 'line':
			return {
				x: Math.min(mark.x1, mark.x2),
				y: Math.min(mark.y1, mark.y2),
				w: Math.abs(mark.x2 - mark.x1),
				h: Math.abs(mark.y2 - mark.y1)
			};
		case 'arc': {
			const { x, y, radius, part } = mark;
			const h = part === 'whole' ? 2 * radius : radius;
			return { x: x - radius, y: y - radius, w: 2 * radius, h };
		}
		default:
			return mark;
	}
}

const partSizes = (room: Room): Size[] => (room.span === 'page' ? [room] : [room.left, room.right]);

describe.each(forms.map((form) => [form.id, form] as const))('%s keeps its word', (_, form) => {
	const anyRoom = fc
		.tuple(
			fc.integer({ min: 1, max: 45 }),
			fc.integer({ min: 1, max: 60 }),
			fc.integer({ min: 1, max: 45 })
		)
		.map(([w, h, other]): Room[] =>
			form.spans.map((span) => (span === 'page' ? page(w, h) : spread({ w, h }, { w: other, h })))
		);
	const anySetting = fc
		.tuple(anyHand, anyMonth, anyWeekStart, anyContent, anyRules(form), anyLocale)
		.map(([hand, month, start, content, rules, locale]): Setting => {
			return { month: monthShape(month, start), hand, locale, content, rules };
		});

	test('every option fits the room and draws inside itself, ruled lines on dots', () => {
		fc.assert(
			fc.property(anySetting, anyRoom, (setting, rooms) => {
				for (const room of rooms) {
					const answer = form.layouts(setting, room);
					for (const layout of answer) {
						const offered = partSizes(room);
						partSizes(layout.room).forEach((size, part) => {
							expect(size.w).toBeLessThanOrEqual(offered[part]?.w ?? 0);
							expect(size.h).toBeLessThanOrEqual(offered[part]?.h ?? 0);
							for (const mark of layout.marks()[part] ?? []) {
								expect(contains({ x: 0, y: 0, ...size }, extent(mark))).toBe(true);
								if (mark.kind === 'line')
									expect([mark.x1, mark.y1, mark.x2, mark.y2].every(Number.isInteger)).toBe(true);
							}
						});
						const own = partSizes(layout.room);
						for (const { on, ...rect } of layout.rooms ?? []) {
							const block = { x: 0, y: 0, ...(own[on] ?? { w: 0, h: 0 }) };
							// Over a spread a block lies against the fold.
							const outer = layout.room.span === 'spread' && on === 0 ? -1 : 0;
							const page = offered[on] ?? { w: 0, h: 0 };
							const x = outer * (page.w - block.w);
							expect(contains({ x, y: 0, ...page }, rect)).toBe(true);
							const apart = rect.w < 1 || rect.h < 1 || !overlaps(block, rect);
							expect(contains(block, rect) || (!form.wholePage && apart)).toBe(true);
						}
						// What is promised for a room is what that very room draws.
						const again = firstOf(form.layouts(setting, layout.room));
						expect(again.room).toEqual(layout.room);
						expect(again.discomfort).toBeLessThanOrEqual(layout.discomfort);
					}
				}
			}),
			{ numRuns: often(150) }
		);
	});

	test('what it says is missing, added, makes it fit', () => {
		fc.assert(
			fc.property(anySetting, anyRoom, (setting, rooms) => {
				for (const room of rooms) {
					if (form.layouts(setting, room).length > 0) continue;
					const misfit = misfitOf(form, setting, room);
					const { w, h } = misfit.lacking;
					if (w + h === 0) continue;
					const larger = (size: Size) => ({ w: size.w + w, h: size.h + h });
					const enlarged: Room =
						room.span === 'page'
							? { ...room, ...larger(room) }
							: { ...room, left: larger(room.left), right: larger(room.right) };
					expect(misfit.reason).toMatch(/\d/);
					expect(form.layouts(setting, enlarged), misfit.reason).not.toEqual([]);
				}
			}),
			{ numRuns: often(100) }
		);
	});

	test('each of its rules does something, and it reads no other', () => {
		const read = new Set<string>();
		const watched = (setting: Setting): Setting => ({
			...setting,
			rules: new Proxy(setting.rules, {
				get: (rules, name) => {
					if (typeof name === 'string') read.add(name);
					return rules[String(name)];
				}
			})
		});
		const drawn = (setting: Setting, rooms: readonly Room[]) =>
			JSON.stringify(
				rooms.map((room) => {
					const [layout] = form.layouts(watched(setting), room);
					// What the hand is told of it counts as well.
					return layout && [layout.room, layout.facts, layout.why, layout.marks()];
				})
			);
		for (const rule of form.rules) {
			const tried = fc.sample(fc.tuple(anySetting, anyRoom, anyValue(rule)), {
				numRuns: 1000,
				seed: 5
			});
			const acts = tried.some(([setting, rooms, value]) => {
				const without = { ...setting, rules: { ...setting.rules, [rule.name]: undefined } };
				const told = { ...setting, rules: { ...setting.rules, [rule.name]: value } };
				return drawn(without, rooms) !== drawn(told, rooms);
			});
			expect(acts, rule.name).toBe(true);
		}
		expect([...read].filter((name) => !form.rules.some((rule) => rule.name === name))).toEqual([]);
	});

	test('no two texts overlap', () => {
		fc.assert(
			fc.property(anySetting, anyRoom, (setting, rooms) => {
				for (const room of rooms) {
					const answer = form.layouts(setting, room);
					if (answer.length === 0) continue;
					for (const marks of firstOf(answer).marks()) {
						const taken = new Set<string>();
						for (const mark of marks) {
							if (mark.kind !== 'text') continue;
							for (let x = mark.x; x < mark.x + mark.w; x++)
								for (let y = mark.y; y < mark.y + mark.h; y++) {
									expect(taken.has(`${x} ${y}`)).toBe(false);
									taken.add(`${x} ${y}`);
								}
						}
					}
				}
			}),
			{ numRuns: often(100) }
		);
	});
});

test('a month grid writes each date once, in the column of its weekday', () => {
	fc.assert(
		fc.property(anyMonth, anyWeekStart, fc.integer({ min: 1, max: 6 }), (month, start, split) => {
			const shape = monthShape(month, start);
			const layout = firstOf(
				form('month-grid').layouts({ ...setting({ split }), month: shape }, spread(a5, a5))
			);
			const { cell } = layout.facts;
			if (!cell) throw new Error('no cell');
			const [left, right] = layout.marks();
			const dates = [left, right].flatMap((marks, side) =>
				(marks ?? []).flatMap((mark) =>
					mark.kind === 'text' && mark.style === 'figure'
						? [
								{
									day: Number(mark.text),
									column: (side === 0 ? 0 : split) + mark.x / cell.w,
									row: (mark.y - 1) / cell.h
								}
							]
						: []
				)
			);
			expect(dates.map(({ day }) => day).sort((a, b) => a - b)).toEqual(
				Array.from({ length: shape.days }, (_, index) => index + 1)
			);
			for (const { day, column, row } of dates) expect({ row, column }).toEqual(cellOf(shape, day));
		})
	);
});

describe('names beside a row of days', () => {
	test('are cut no shorter than what tells them apart', () => {
		const items = ['Stretching', 'Fresh air', 'Fruit', 'No phone'].map((name) => ({ name }));
		const narrow = form('matrix-days-across').layouts(setting({ items }), page(33, 40));
		const [best] = narrow;
		const words = best?.marks()[0]?.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));
		expect(words).toEqual(expect.arrayContaining(['Str', 'Fre', 'Fru', 'No']));
		const signs = items.map((item, index) => ({ ...item, symbol: 'SFFN'[index] ?? '' }));
		const [own] = form('matrix-days-across').layouts(setting({ items: signs }), page(32, 40));
		// What a person has chosen stays as it is.
		expect(own?.facts.label).toBe(1);
	});
});

test('cells of a table by months are never more than three times as high as wide, unless asked', () => {
	const cellOf = (told: Told) =>
		firstOf(
			form('grid-table').layouts(
				setting({ items: [{ name: 'Oven' }, { name: 'Bellows' }], across: 'months', ...told }),
				page(20, 40)
			)
		).facts.cell;
	expect(cellOf({})).toEqual({ w: 1, h: 3 });
	expect(cellOf({ cell: { w: 1, h: 6 } })).toEqual({ w: 1, h: 6 });
});
