import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
	anyContent,
	anyHand,
	anyLocale,
	anyMonth,
	anyWeekStart
} from '../../../../tests/support/arbitraries';
import { anyRules } from '../../../../tests/support/any-rules';
import { often } from '../../../../tests/support/effort';
import { settingWith } from '../../../../tests/support/told';
import { subjectKey, subjectOf, type FieldMark, type Mark } from '../draw';
import { monthShape } from '../month';
import { contains, overlaps } from '../paper';
import { formById, forms, type Form, type Layout, type Room, type Setting } from '.';

const anySettingOf = (form: Form): fc.Arbitrary<Setting> =>
	fc.record({
		month: fc.tuple(anyMonth, anyWeekStart).map(([month, start]) => monthShape(month, start)),
		hand: anyHand,
		locale: anyLocale,
		content: anyContent,
		rules: anyRules(form),
		part: fc.constantFrom(undefined, { week: 2, page: 1, folded: [] })
	});

const anySide = fc.record({
	w: fc.integer({ min: 6, max: 46 }),
	h: fc.integer({ min: 6, max: 60 })
});
const anyRoom: fc.Arbitrary<Room> = fc.oneof(
	anySide.map((size): Room => ({ span: 'page', ...size })),
	fc
		.tuple(anySide, anySide)
		.map(([left, right]): Room => ({ span: 'spread', left, right, gutter: 2 }))
);

const fieldsIn = (marks: readonly Mark[]) =>
	marks.flatMap((mark): FieldMark[] => (mark.kind === 'field' ? [mark] : []));

/** The first layout of a form in a room, if there is one. */
function drawn(form: Form, setting: Setting, room: Room): Layout | undefined {
	return form.spans.includes(room.span) ? form.layouts(setting, room)[0] : undefined;
}

describe.each(forms.map((form) => [form.id, form] as const))('fields of %s', (_, form) => {
	test('lie in its room, apart from each other, each about something else', () => {
		fc.assert(
			fc.property(anySettingOf(form), anyRoom, (setting, room) => {
				const layout = drawn(form, setting, room);
				if (!layout) return;
				layout.marks().forEach((marks, part) => {
					const { room: taken } = layout;
					const size = taken.span === 'page' ? taken : part === 0 ? taken.left : taken.right;
					const fields = fieldsIn(marks);
					for (const [at, field] of fields.entries()) {
						expect(contains({ x: 0, y: 0, w: size.w, h: size.h }, field)).toBe(true);
						for (const other of fields.slice(at + 1)) {
							expect(overlaps(field, other)).toBe(false);
							// Two charts show one night, and a week that is split has a box on either side.
							if (form.id !== 'bed-wake' && field.about.week === undefined)
								expect(subjectKey(field.about)).not.toBe(subjectKey(other.about));
						}
					}
				});
			}),
			{ numRuns: often(120) }
		);
	});
});

const tracked = [
	'matrix-days-down',
	'matrix-days-across',
	'strips',
	'mini-calendar-set',
	'ring'
] as const;

test.each(tracked)('%s has a field for each habit and day, or week', (id) => {
	const form = formById(id);
	if (!form) throw new Error(id);
	const items = [
		{ name: 'Walk' },
		{ name: 'Scales', rhythm: 'weekly' as const },
		{ name: 'Dough', goal: 10 }
	];
	const setting = settingWith(
		{ items, ...(id === 'ring' ? { lines: 'each' } : {}) },
		{ month: monthShape({ year: 2027, month: 5 }, 'monday') }
	);
	const room: Room = { span: 'page', w: 60, h: 60 };
	const layout = drawn(form, setting, room);
	const found = new Set(
		fieldsIn(layout?.marks().flat() ?? []).map(({ about }) => subjectKey(about))
	);
	const wanted = ['Walk', 'Dough', ...(id === 'ring' ? ['Scales'] : [])].flatMap((item) =>
		Array.from({ length: 31 }, (_, at) => subjectKey({ item, day: at + 1 }))
	);
	const weekly =
		id === 'ring'
			? []
			: Array.from({ length: 6 }, (_, at) => subjectKey({ item: 'Scales', week: at + 1 }));
	expect(found).toEqual(new Set([...wanted, ...weekly]));
});

test.each(['strips', 'mini-calendar', 'day-cells', 'month-grid', 'weekday-rows', 'ring'])(
	'%s has each of its dates in the field of that day',
	(id) => {
		const form = formById(id);
		if (!form) throw new Error(id);
		fc.assert(
			fc.property(anySettingOf(form), anyRoom, (given, room) => {
				// Dates of the head, such as week numbers, are none of a day.
				const setting = { ...given, rules: {}, content: { items: [{ name: 'Walk' }] } };
				const layout = drawn(form, setting, room);
				for (const marks of layout?.marks() ?? []) {
					const fields = fieldsIn(marks).filter(({ about }) => about.day !== undefined);
					const top = Math.min(...fields.map(({ y }) => y));
					for (const mark of marks) {
						if (mark.kind !== 'text' || mark.style !== 'figure' || mark.y < top) continue;
						const there = fields.filter((field) => contains(field, { ...mark, w: 0.5, h: 0.5 }));
						expect(there.map(({ about }) => String(about.day))).toEqual([mark.text]);
					}
				}
			}),
			{ numRuns: often(150) }
		);
	}
);

test('a subject and its text stand for each other', () => {
	const anySubject = fc.record(
		{
			item: fc.string({ unit: 'grapheme' }),
			day: fc.integer({ min: 1, max: 31 }),
			week: fc.integer({ min: 1, max: 6 }),
			row: fc.integer({ min: 1, max: 999 }),
			column: fc.string(),
			nth: fc.integer({ min: 1, max: 99 })
		},
		{ requiredKeys: [] }
	);
	fc.assert(
		fc.property(anySubject, (about) => {
			expect(subjectOf(subjectKey(about))).toEqual(about);
		})
	);
	for (const none of ['day=0', 'day=x', 'place=3', 'day=1&day=2', 'item=%', 'day'])
		expect(subjectOf(none)).toBeUndefined();
});
