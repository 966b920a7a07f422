import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { firstOf } from '../../../../tests/support/first-of';
import { settingWith, type Told } from '../../../../tests/support/told';
import { anyHand, anyMonth, anyWeekStart } from '../../../../tests/support/arbitraries';
import { monthShape } from '../month';
import { contains } from '../paper';
import { formById, forms, misfitOf, type Room } from '.';

const page: Room = { span: 'page', w: 40, h: 60 };
const spread: Room = { span: 'spread', left: { w: 28, h: 60 }, right: { w: 28, h: 60 }, gutter: 2 };

/** Forms that show every day of the month, and how many times each date stands on the page. */
const dated: readonly [id: string, room: Room, wish: Told, times: number][] = [
	['month-grid', page, {}, 1],
	['month-grid', spread, {}, 1],
	['six-column-grid', page, {}, 1],
	['mini-calendar', page, {}, 1],
	['mini-calendar-set', page, { items: [{ name: 'a' }, { name: 'b' }] }, 2],
	['month-list', page, {}, 1],
	['month-list', page, { parts: ['private', 'work'] }, 1],
	['matrix-days-down', page, { items: [{ name: 'a' }] }, 1],
	['matrix-days-across', page, { items: [{ name: 'a' }] }, 1],
	['matrix-days-across', spread, { items: [{ name: 'a' }] }, 1],
	['strips', page, { items: [{ name: 'a' }, { name: 'b' }, { name: 'c' }] }, 3],
	['ring', page, {}, 1],
	['day-cells', page, {}, 1],
	['day-cells', page, { shape: 'hexagon' }, 1],
	['day-lines', page, { lineHeight: 1 }, 1],
	['day-lines', spread, { lineHeight: 2 }, 1],
	['path', page, {}, 1],
	['cover', page, {}, 1]
];

describe.each(dated)('%s', (id, room, wish, times) => {
	test('writes every date of the month as often as it should, and no other', () => {
		fc.assert(
			fc.property(anyMonth, anyWeekStart, anyHand, (month, start, hand) => {
				const shape = monthShape(month, start);
				const setting = settingWith(wish, { month: shape, hand });
				const answer = formById(id)?.layouts(setting, room);
				const counts = new Map<number, number>();
				for (const mark of firstOf(answer).marks().flat())
					if (mark.kind === 'text' && mark.style === 'figure')
						counts.set(Number(mark.text), (counts.get(Number(mark.text)) ?? 0) + 1);
				expect([...counts.keys()].sort((a, b) => a - b)).toEqual(
					Array.from({ length: shape.days }, (_, index) => index + 1)
				);
				expect(new Set(counts.values())).toEqual(new Set([times]));
			}),
			{ numRuns: 60 }
		);
	});
});

test('a table rules as many rows as it says it holds', () => {
	const rows = fc.integer({ min: 8, max: 60 });
	fc.assert(
		fc.property(
			rows,
			fc.option(fc.integer({ min: 1, max: 90 }), { nil: undefined }),
			(h, entries) => {
				const setting = settingWith({ columns: [{ name: 'Item', width: 12 }], entries });
				const answer = formById('table')?.layouts(setting, { span: 'page', w: 28, h });
				for (const layout of answer ?? []) {
					const { capacity = 0, abreast = 0, header = 0 } = layout.facts;
					const across = layout
						.marks()
						.flat()
						.filter((mark) => mark.kind === 'line' && mark.y1 === mark.y2 && mark.y1 >= header);
					expect(across.length - abreast).toBe(capacity);
					if (entries !== undefined) expect(capacity).toBeGreaterThanOrEqual(entries);
				}
			}
		)
	);
});

describe.each(forms.map((form) => [form.id, form] as const))('%s bears odd input', (_, form) => {
	const long = 'Concertina practice '.repeat(15);
	const wishes: Told[] = [
		{ title: long, items: [{ name: long }], columns: [{ name: long }], text: long, parts: [long] },
		{
			title: '🎶👩‍🔧',
			items: [{ name: '🍞' }, { name: '👩‍👩‍👧‍👦' }],
			text: '🎶 🍞',
			levels: ['🙂', '😐', '🙁', '🌫️']
		},
		{ title: 'יומן לילה', items: [{ name: 'مفكرة' }, { name: 'לחם' }], text: 'שלום עולם' },
		{ items: Array.from({ length: 60 }, (_, index) => ({ name: `Habit ${index}` })) },
		{ columns: [], items: [], parts: [], goals: [], events: [] },
		{ goals: [{ name: 'x', from: 31, to: 1 }], week: 6, hours: 24, entries: 2000 }
	];

	test.each([
		[28, 40],
		[5, 6],
		[1, 1]
	])('on %i × %i: it fits inside, or says why not', (w, h) => {
		for (const wish of wishes)
			for (const room of [
				{ span: 'page', w, h } as const,
				{ span: 'spread', left: { w, h }, right: { w, h }, gutter: 2 } as const
			]) {
				if (!form.spans.includes(room.span)) continue;
				const month = monthShape({ year: 2027, month: 2 }, 'monday');
				const setting = settingWith(wish, { month });
				const [layout] = form.layouts(setting, room);
				if (!layout) {
					expect(misfitOf(form, setting, room).reason).toMatch(/\d|any size/);
					continue;
				}
				for (const marks of layout.marks())
					for (const mark of marks)
						if (mark.kind === 'text')
							expect(contains({ x: 0, y: 0, w, h }, mark), `${mark.text} ${w}`).toBe(true);
			}
	});
});
