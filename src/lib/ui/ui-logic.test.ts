import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { planWith } from '../../../tests/support/arbitraries';
import { planRun, summaryOf } from '../core/fit';
import { parseNumber } from './fields/parse-number';
import { localWeekStart } from './locale';
import { compareLines } from './month/compare-lines';
import { movedBlocks } from './month/moved';
import { begin, redo, step, undo, type History } from './month/history';
import { columnLines, eventLines, goalLines, itemLines } from './month/field-lines';
import { nearestDot } from './page/nearest-dot';
import { openSpread } from './page/open-spread';

describe('number fields', () => {
	const limits = { least: 1, most: 50, whole: false };

	test('read a decimal point or comma', () => {
		expect(parseNumber('4.95', limits)).toEqual({ ok: true, value: 4.95 });
		expect(parseNumber(' 4,95 ', limits)).toEqual({ ok: true, value: 4.95 });
	});

	test.each(['', 'five', '1e3', '4.95.1', '-3', '51', '∞'])(
		'refuse “%s” and say the range',
		(text) => {
			const read = parseNumber(text, limits);
			expect(read.ok || read.message).toMatch(/a number from 1 to 50/);
		}
	);

	test('refuse fractions where only whole numbers count', () => {
		expect(parseNumber('2.5', { ...limits, whole: true }).ok).toBe(false);
	});
});

describe('what moved', () => {
	const whole = { kind: 'notes', size: { w: 28, h: 40 } };
	const wishes = ['a', 'b', 'c'].map((id) => ({ id, ...whole }));
	const before = planRun(planWith(wishes));

	test('is told by the wish, not by its number in the run', () => {
		const moved = planRun(planWith([...wishes.slice(1), ...wishes.slice(0, 1)]));
		expect(movedBlocks(before, moved)).toHaveLength(3);
		expect(movedBlocks(before, before)).toEqual([]);
		expect(movedBlocks(before, planRun(planWith([...wishes, { id: 'd', ...whole }])))).toEqual([]);
	});
});

describe('a comparison', () => {
	test('waits for what is not known yet, and counts pages that are left', () => {
		const summary = summaryOf(
			planRun(planWith([{ id: 'a', kind: 'notes', size: { w: 28, h: 40 } }]))
		);
		const lines = compareLines([{ summary, free: 10 }, undefined]);
		const valuesOf = (label: string) => lines.find((line) => line.label === label)?.values;
		expect(valuesOf('Free pages left after it')).toEqual(['9', undefined]);
		expect(valuesOf('Left out')).toEqual(['nothing', undefined]);
	});
});

describe('undo', () => {
	test('takes any number of steps back and makes them again', () => {
		fc.assert(
			fc.property(fc.array(fc.integer(), { minLength: 1, maxLength: 40 }), (values) => {
				let history: History<number> = begin(-1);
				for (const value of values) history = step(history, value);
				const done = history;
				for (let index = 0; index < values.length; index++) history = undo(history);
				expect(history.present).toBe(-1);
				expect(undo(history)).toEqual(history);
				for (let index = 0; index < values.length; index++) history = redo(history);
				expect({ ...history, last: undefined }).toEqual({ ...done, last: undefined });
			})
		);
	});

	test('joins steps of one name in a row, and only those', () => {
		let history = begin('');
		for (const text of ['W', 'Wa', 'Wal']) history = step(history, text, 'title');
		history = step(history, 'Wal!', 'other');
		history = undo(history);
		expect(history.present).toBe('Wal');
		expect(undo(history).present).toBe('');
		expect(step(undo(history), 'x', 'title').past).toEqual(['']);
	});

	test('a step after taking one back forgets the way forward', () => {
		const history = step(undo(step(begin(1), 2)), 3);
		expect(redo(history)).toEqual(history);
	});
});

describe('lists are edited as lines', () => {
	test('habits with a shorter form after a slash and a rhythm in brackets', () => {
		const items = [
			{ name: 'Concertina' },
			{ name: 'Feed the dough', short: 'Dough', rhythm: 'times-a-week' as const, goal: 3 },
			{ name: 'Oil', rhythm: 'monthly' as const }
		];
		const text = 'Concertina\nFeed the dough / Dough (3 a week)\nOil (monthly)';
		expect(itemLines.write(items)).toBe(text);
		expect(itemLines.read(text, []).entries).toEqual(items);
		expect(itemLines.read('  \n A/B \n\nWalk / ', []).entries).toEqual([
			{ name: 'A/B' },
			{ name: 'Walk' }
		]);
		expect(itemLines.read('Rest (at last)', []).entries).toEqual([{ name: 'Rest (at last)' }]);
		const spans = 'Walk (from 12)\nOil (monthly, until 20)\nReels (3 a week, from 4, until 9)';
		const spanned = itemLines.read(spans, []).entries;
		expect(spanned.map(({ name, begins, ends }) => [name, begins, ends])).toEqual([
			['Walk', 12, undefined],
			['Oil', undefined, 20],
			['Reels', 4, 9]
		]);
		expect(itemLines.write(spanned)).toBe(spans);
		expect(itemLines.read('Letters (from 40)', []).entries).toEqual([
			{ name: 'Letters (from 40)' }
		]);
		const signed = [{ name: 'Oil', short: 'O', symbol: 'o' }];
		expect(itemLines.read(itemLines.write(signed), []).entries).toEqual(signed);
		const grouped = '# health\nWalk (20 a month)\nWater\n# home\nOven\n#\nLoose';
		const read = itemLines.read(grouped, []).entries;
		expect(read.map(({ name, group, goal }) => [name, group, goal])).toEqual([
			['Walk', 'health', 20],
			['Water', 'health', undefined],
			['Oven', 'home', undefined],
			['Loose', undefined, undefined]
		]);
		expect(itemLines.write(read)).toBe(grouped);
	});

	test('columns, goals and events', () => {
		const columns = [
			{ name: 'Paid to', width: 6 },
			{ name: 'Note' },
			{ name: 'Item', longest: 'Concertina reeds' }
		];
		expect(columnLines.read(columnLines.write(columns), []).entries).toEqual(columns);
		const goals = [{ name: 'The slow reel', from: 3, to: 20, slack: 4 }];
		expect(goalLines.write(goals)).toBe('The slow reel 3–20 +4');
		expect(goalLines.read('The slow reel 3-20+4\nno days', []).entries).toEqual(goals);
		const events = [
			{ day: 12, time: '19:30', text: 'Choir' },
			{ day: 3, text: 'Dry dock' }
		];
		const lines = eventLines({ year: 2027, month: 5 }, 'de');
		expect(lines.read(lines.write(events), [])).toEqual({ entries: events, unread: [] });
		expect(lines.read('32 never\n0 never\nsoon', [])).toEqual({
			entries: [],
			unread: ['32 never', '0 never', 'soon']
		});
	});

	test('a day is understood however people write it, and one of another month is not taken', () => {
		const lines = eventLines({ year: 2027, month: 5 }, 'de');
		const read = (line: string) => lines.read(line, []).entries[0];
		expect(read('12.5. Zahnarzt')).toEqual({ day: 12, text: 'Zahnarzt' });
		expect(read('12. Zahnarzt um neun')).toEqual({ day: 12, text: 'Zahnarzt um neun' });
		expect(read('May 14 Party')).toEqual({ day: 14, text: 'Party' });
		expect(read('14 Mai 20:00 Fest')).toEqual({ day: 14, time: '20:00', text: 'Fest' });
		expect(read('3 Dry dock')).toEqual({ day: 3, text: 'Dry dock' });
		expect(read('June 14 Party')).toBeUndefined();
		expect(read('12.6. Zahnarzt')).toBeUndefined();
	});
});

test('a dot is counted from the corner or the mid-line nearest to it', () => {
	const page = { w: 28, h: 40 };
	expect(nearestDot({ x: 3.2, y: 4.6 }, page).words).toBe('from the top left: 3 right, 5 down');
	expect(nearestDot({ x: 23, y: 36 }, page)).toEqual({
		x: 23,
		y: 36,
		words: 'from the bottom right: 5 left, 4 up'
	});
	expect(nearestDot({ x: -3, y: 99 }, page)).toMatchObject({ x: 0, y: 40 });
	expect(nearestDot({ x: 12, y: 1 }, page).words).toBe(
		'from the middle of the top: 2 left, 1 down'
	);
	expect(nearestDot({ x: 14, y: 22 }, page).words).toBe('from the middle of the page: 2 down');
	expect(nearestDot({ x: 12, y: 1 }, { w: 27, h: 40 }).words).toBe(
		'from the top left: 12 right, 1 down'
	);
});

test('a page address opens its spread, with the planned ones before and after', () => {
	const run = planRun(
		planWith([
			{ id: 'a', kind: 'cover' },
			{ id: 'b', kind: 'month-calendar', span: 'spread' },
			{ id: 'c', kind: 'cover' }
		])
	);
	expect(openSpread(run, 'first')).toMatchObject({ page: 12, before: undefined, after: 14 });
	expect(openSpread(run, '15')).toEqual({
		page: 15,
		spread: { left: 14, right: 15 },
		before: 13,
		after: 16
	});
	expect(openSpread(run, '17')).toMatchObject({ spread: { left: 16 }, after: undefined });
	for (const address of ['99', 'x', '-2', undefined])
		expect(openSpread(run, address)).toBeUndefined();
	expect(openSpread(planRun(planWith([])), 'first')).toBeUndefined();
});

test('weeks begin as the locale has them', () => {
	expect(['en-US', 'en-GB', 'de', 'ar-EG'].map(localWeekStart)).toEqual([
		'sunday',
		'monday',
		'monday',
		'saturday'
	]);
});
