import { describe, expect, test } from 'vitest';
import { a5, documentWith, planWith } from '../../../../tests/support/arbitraries';
import { planRun } from '../fit';
import { defaultHand } from '../hand';
import { checked, notebookSchema, planSchema, runDocument, toDocument, toPlan } from '.';

const cover = (_: unknown, index: number) => ({ id: `w${index}`, kind: 'cover' });

function faultsOf(document: unknown) {
	const result = checked(planSchema, document);
	return result.ok
		? {}
		: Object.fromEntries(result.faults.map(({ path, message }) => [path, message]));
}

describe('a plan document', () => {
	test('is read with its defaults and written again', () => {
		const result = checked(planSchema, documentWith([{ id: 'a', kind: 'cover' }]));
		if (!result.ok) throw new Error(JSON.stringify(result.faults));
		expect(result.value.hand).toEqual(defaultHand);
		expect(result.value.notebook.freePages).toEqual([{ first: 12, last: 61 }]);
		const plan = toPlan(result.value);
		expect(plan).toEqual(planWith([{ id: 'a', kind: 'cover' }]));
		const again = checked(planSchema, toDocument(plan));
		expect(again.ok && toPlan(again.value)).toEqual(plan);
	});

	test('carries its cuts, and is refused with the sum where one cannot be made', () => {
		const tabs = { id: 'tabs', kind: 'tab', leaves: { first: 13, last: 23 }, lastUncut: true };
		const window = {
			id: 'window',
			kind: 'window',
			leaves: { first: 25, last: 25 },
			rect: { x: 9, y: 3, w: 10, h: 34 },
			shape: 'octagon'
		};
		const read = checked(planSchema, documentWith([], { cuts: [tabs, window] }));
		if (!read.ok) throw new Error(JSON.stringify(read.faults));
		const again = checked(planSchema, toDocument(toPlan(read.value)));
		expect(again.ok && toPlan(again.value).cuts).toEqual([tabs, window]);
		const seven = { ...tabs, leaves: { first: 13, last: 25 } };
		expect(faultsOf(documentWith([], { cuts: [window, seven] }))).toEqual({
			'cuts[1].leaves.last': expect.stringContaining('at most 6 (40 ÷ 6)')
		});
		const back = { ...window, leaves: { first: 14, last: 14 } };
		const wide = { id: 'door', kind: 'strip', leaves: { first: 13, last: 13 }, amount: 28 };
		expect(faultsOf(documentWith([], { cuts: [back] }))).toHaveProperty(['cuts[0].leaves.first']);
		expect(faultsOf(documentWith([], { cuts: [wide] }))).toHaveProperty(['cuts[0].amount']);
		expect(faultsOf(documentWith([], { cuts: [{ ...window, kind: 'hole' }] }))).toHaveProperty([
			'cuts[0].kind'
		]);
	});

	test('a range of what cannot even be compared is refused like any other', () => {
		const odd: unknown = JSON.parse('{"toString":null,"valueOf":1}');
		const book = { ...a5, freePages: [{ first: odd, last: 3 }] };
		expect(checked(notebookSchema, book)).toMatchObject({
			ok: false,
			faults: [{ path: 'freePages[0].first' }]
		});
	});

	test.each(['valueOf', 'constructor', '__proto__', 'toString'])(
		'an entry called %s is unknown like any other',
		(name) => {
			const odd: unknown = JSON.parse(`{"${name}": 0}`);
			expect(checked(planSchema, odd).ok).toBe(false);
			const document: object = JSON.parse(JSON.stringify(documentWith([])));
			Object.defineProperty(document, name, { value: 0, enumerable: true });
			expect(faultsOf(document)).toEqual({
				[name]: expect.stringMatching(/^is not known here; known are format, version/)
			});
		}
	);

	test('refuses by name what a wish or its form cannot be told', () => {
		const faults = faultsOf(
			documentWith([
				{ id: 'a', kind: 'sleep', rules: { hours: { from: 22, across: 3 } } },
				{ id: 'b', kind: 'mood', rules: { 'day-cells': { shape: 'round' }, 'no-form': {} } },
				{ id: 'c', kind: 'notes', folded: [] }
			])
		);
		expect(faults).toEqual({
			'wishes[0].rules.hours.across': 'is not known here; known are titleStyle, from, hours, axis',
			'wishes[1].rules.day-cells.shape': 'must be one of square, hexagon; it is “round”',
			'wishes[1].rules.no-form': expect.stringMatching(/^is not known here; known are title, /),
			'wishes[2].folded': expect.stringMatching(/^is not known here/)
		});
	});

	test('members nest two deep, have ids of their own, and count like wishes', () => {
		const nested = (depth: number, id: string): object => ({
			id,
			kind: 'composed',
			...(depth > 0 ? { members: [nested(depth - 1, `${id}m`)] } : {})
		});
		expect(faultsOf(documentWith([nested(2, 'w')]))).toEqual({});
		expect(faultsOf(documentWith([nested(3, 'w')]))).toEqual({
			'wishes[0].members[0].members[0].members': expect.stringMatching(/^is not known here/)
		});
		const twin = { id: 'a', kind: 'tasks' };
		expect(faultsOf(documentWith([twin, { ...twin, id: 'b', members: [twin] }]))).toEqual({
			'wishes[1].members[0].id': 'must be an id of its own; “a” is taken by wishes[0]'
		});
		const many = Array.from({ length: 20 }, (_, host) => ({
			id: `h${host}`,
			kind: 'composed',
			members: Array.from({ length: 10 }, (_, at) => ({ id: `h${host}m${at}`, kind: 'tasks' }))
		}));
		expect(faultsOf(documentWith(many))).toEqual({
			wishes: 'must have at most 200 entries, members included; it has 220'
		});
		const weeks = { belong: 'touching', short: 'own', pagesPerWeek: 2, only: [1, 3] };
		const set = { id: 'w', kind: 'weekly-pages', weeks, members: [twin] };
		expect(faultsOf(documentWith([set]))).toEqual({});
		const seventh = { ...set, weeks: { ...weeks, only: [7] } };
		expect(Object.keys(faultsOf(documentWith([seventh])))).toEqual(['wishes[0].weeks.only[0]']);
		for (const members of ['many', 7, { length: 2 }, [null], ['a'], [[]]])
			expect(Object.keys(faultsOf(documentWith([{ ...twin, members }])))[0]).toMatch(
				/^wishes\[0\]\.members/
			);
		expect(faultsOf(documentWith([{ ...twin, spot: { x: 1, y: 2 } }]))).toEqual({
			'wishes[0].spot': expect.stringMatching(/^is not known here/)
		});
	});

	test('says of every wrong field what is allowed', () => {
		const faults = faultsOf(
			documentWith(
				[
					{ id: 'a', kind: 'stencil' },
					{ id: 'b', kind: 'cover', size: { w: 2.5, h: -1 } }
				],
				{
					notebook: { ...a5, columns: 40.5, freePages: [{ first: 20, last: 12 }] },
					month: '2027-13',
					weekStart: 'tuesday',
					version: 3
				}
			)
		);
		expect(faults).toEqual({
			'wishes[0].kind': expect.stringMatching(/must be one of cover, .*; it is “stencil”/),
			'wishes[1].size.w': 'must be a whole number from 1 to 300; it is 2.5',
			'wishes[1].size.h': 'must be a whole number from 1 to 300; it is -1',
			'notebook.columns': 'must be a whole number from 1 to 200; it is 40.5',
			'notebook.freePages[0].last': 'must not come before the first page, 20; it is 12',
			month: 'must be a month from 1900-01 to 2200-12 such as 2027-05; it is “2027-13”',
			weekStart: 'must be one of monday, sunday, saturday; it is “tuesday”',
			version: 'must be 2; it is 3'
		});
	});

	test.each([
		['null', '', null],
		['a list', '', []],
		['a text', '', 'text'],
		['a text that holds JSON', '', JSON.stringify(documentWith([]))],
		['wishes that are an object', 'wishes', documentWith([], { wishes: {} })],
		['wishes that are a text', 'wishes', documentWith([], { wishes: '[]' })],
		['a notebook that is a list', 'notebook', documentWith([], { notebook: [] })],
		['201 wishes', 'wishes', documentWith(Array.from({ length: 201 }, cover))],
		['two wishes with one id', 'wishes[1].id', documentWith([cover(0, 1), cover(0, 1)])],
		['a wish without an id', 'wishes[0].id', documentWith([{ kind: 'cover' }])],
		['no wish', 'wishes[0]', documentWith([null])],
		[
			'a number among names',
			'wishes[0].parts[1]',
			documentWith([{ ...cover(0, 0), parts: ['a', 7] }])
		],
		['a word for yes', 'wishes[0].filler', documentWith([{ ...cover(0, 0), filler: 'yes' }])],
		['not a number', 'notebook.pitchMm', documentWith([], { notebook: { ...a5, pitchMm: NaN } })]
	])('refuses %s', (_, path, document) => {
		expect(Object.keys(faultsOf(document))).toContain(path);
	});
});

test('a grid that is larger than its paper is refused with what would fit', () => {
	const faults = faultsOf(documentWith([], { notebook: { ...a5, columns: 30 } }));
	expect(faults).toEqual({
		'notebook.columns': '30 squares of 5 mm need 150 mm and the page is 148 mm wide: at most 29 fit'
	});
	const odd = { ...a5, pageMm: { width: 137, height: 203 }, pitchMm: 4.95, columns: 26, rows: 38 };
	const marginsMm = { left: { x: 6, y: 7 }, right: { x: 9, y: 8 } };
	const measured = checked(notebookSchema, { ...odd, marginsMm });
	expect(measured.ok || measured.faults[0]?.message).toBe(
		'26 squares of 4.95 mm need 128.7 mm after 9 mm on the right page and the page is 137 mm wide: at most 25 fit'
	);
	expect(checked(notebookSchema, { ...odd, marginsMm, columns: 25 }).ok).toBe(true);
});

test('a block over a spread stands on both pages with the facts of the whole', () => {
	const plan = planWith([{ id: 'c', kind: 'month-calendar', span: 'spread' }]);
	const { run } = runDocument(plan, planRun(plan), { marks: true, remedies: undefined });
	expect(run.pages.map((page) => page.blocks.map((block) => block.facts.split))).toEqual([
		[[4, 3]],
		[[4, 3]]
	]);
	const [left, right] = run.pages.map((page) => page.blocks[0]?.marks ?? []);
	expect(left?.filter((mark) => mark.kind === 'text' && mark.style === 'figure')).toHaveLength(17);
	expect(right?.filter((mark) => mark.kind === 'text' && mark.style === 'figure')).toHaveLength(14);
	expect(
		runDocument(plan, planRun(plan), { marks: false, remedies: undefined }).run.pages[0]?.blocks[0]
	).not.toHaveProperty('marks');
});
