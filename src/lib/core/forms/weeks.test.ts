import { describe, expect, test } from 'vitest';
import { firstOf } from '../../../../tests/support/first-of';
import { settingWith, type Told } from '../../../../tests/support/told';
import type { Mark } from '../draw';
import { monthShape } from '../month';
import { formById, type Room } from '.';

const page: Room = { span: 'page', w: 28, h: 40 };
const spread: Room = { span: 'spread', left: { w: 28, h: 40 }, right: { w: 28, h: 40 }, gutter: 2 };

function draw(id: string, wish: Told, room: Room, locale = 'en') {
	const month = monthShape({ year: 2027, month: 5 }, 'monday');
	const setting = settingWith(wish, { month, locale });
	const answer = formById(id)?.layouts(setting, room);
	const layout = firstOf(answer);
	return { ...layout, parts: layout.marks() };
}

const textsOf = (parts: readonly (readonly Mark[])[]) =>
	parts.map((marks) => marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])));

describe('weekly pages', () => {
	test('the third week of May 2027 is 10 to 16, week 19', () => {
		const { parts, facts } = draw('week-boxes', { week: 3 }, spread);
		expect(textsOf(parts)).toEqual([
			['Monday 10', 'Tuesday 11', 'Wednesday 12', 'Thursday 13'],
			['Friday 14', 'Saturday 15', 'Sunday 16', 'Week 19']
		]);
		expect(facts.week).toBe(19);
	});

	test('the first week begins in April and the last ends in June', () => {
		expect(textsOf(draw('week-boxes', { week: 1 }, spread).parts)[0]).toEqual([
			'Monday 26',
			'Tuesday 27',
			'Wednesday 28',
			'Thursday 29'
		]);
		expect(textsOf(draw('week-boxes', { week: 6 }, spread).parts).flat()).toEqual([
			'Monday 31',
			'Tuesday 1',
			'Wednesday 2',
			'Thursday 3',
			'Friday 4',
			'Saturday 5',
			'Sunday 6',
			'Week 22'
		]);
	});

	test('a week beyond the month is its last one', () => {
		expect(draw('week-rows', { week: 6 }, page).facts.week).toBe(22);
	});

	test('six boxes on a page hold all seven days', () => {
		const texts = textsOf(draw('week-boxes', { week: 2 }, page).parts).flat();
		expect(texts.map((text) => Number(text.split(' ')[1]))).toEqual([3, 4, 5, 6, 7, 8, 9]);
	});

	test('four pages of halves hold seven days and a spare', () => {
		const texts = [1, 2, 3, 4].flatMap((across) =>
			textsOf(draw('week-halves', { week: 2, page: across }, page).parts).flat()
		);
		expect(texts.map((text) => text.split(' ')[1])).toEqual([
			'3',
			'4',
			'5',
			'6',
			'7',
			'8',
			'9',
			'18'
		]);
	});

	test('boxes of every other column stand lower where that is asked for', () => {
		const straight = draw('week-boxes', { week: 3 }, spread);
		const shifted = draw('week-boxes', { week: 3, shift: 4 }, spread);
		const tops = ({ parts }: typeof straight) =>
			parts.map((marks) => [
				...new Set(
					marks.flatMap((mark) => (mark.kind === 'line' && mark.y1 === mark.y2 ? [mark.y1] : []))
				)
			]);
		// Four boxes a page: two tops and two bottoms, and as many again 4 squares lower.
		expect(tops(straight).map(({ length }) => length)).toEqual([4, 4]);
		expect(tops(shifted).map(({ length }) => length)).toEqual([8, 8]);
		expect(shifted.facts).toMatchObject({
			shift: 4,
			cell: { h: (straight.facts.cell?.h ?? 0) - 2 }
		});
	});

	test.each(['week-columns', 'week-staggered', 'week-boxes'])(
		'%s shows every day of the week once',
		(id) => {
			const all = textsOf(draw(id, { week: 4 }, spread).parts).flat();
			const texts = all.filter((text) => !text.startsWith('Week'));
			for (let day = 17; day <= 23; day++)
				expect(
					texts.filter((text) => text.endsWith(` ${day}`) || text === String(day))
				).toHaveLength(1);
		}
	);

	test('long names give way to short ones where a column is narrow', () => {
		const narrow: Room = { ...spread, left: { w: 12, h: 40 }, right: { w: 12, h: 40 } };
		expect(textsOf(draw('week-columns', { week: 2 }, narrow).parts)[0]?.[0]).toBe('Mon 3');
	});
});

describe('over the fold', () => {
	test('the fourth column loses the gutter and nothing more', () => {
		const { parts, facts, why } = draw('week-columns', { shape: 'over-fold', week: 2 }, spread);
		expect(facts.cell?.w).toBe(8);
		expect(why[1]).toBe('the fourth has 3 left and 3 right of the fold, 2 are lost in it');
		const verticals = (marks: readonly Mark[]) =>
			[
				...new Set(
					marks.flatMap((mark) => (mark.kind === 'line' && mark.x1 === mark.x2 ? [mark.x1] : []))
				)
			].sort((a, b) => a - b);
		// Three columns left, then the open fourth; its end and three columns right.
		expect(verticals(parts[0] ?? [])).toEqual([1, 9, 17, 25]);
		expect(verticals(parts[1] ?? [])).toEqual([3, 11, 19, 27]);
	});

	test('a staggered box that crosses the fold is closed on the other page', () => {
		const { parts } = draw('week-staggered', { week: 2 }, spread);
		const toEdge = (marks: readonly Mark[], x: number) =>
			marks.filter(
				(mark) => mark.kind === 'line' && mark.y1 === mark.y2 && (mark.x1 === x || mark.x2 === x)
			);
		expect(toEdge(parts[0] ?? [], 28).length).toBeGreaterThan(0);
		expect(toEdge(parts[1] ?? [], 0).length).toBeGreaterThan(0);
		const closed = (parts[0] ?? []).some(
			(mark) => mark.kind === 'line' && mark.x1 === 28 && mark.x2 === 28
		);
		expect(closed).toBe(false);
	});
});
