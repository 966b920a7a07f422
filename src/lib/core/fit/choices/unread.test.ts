import { expect, test } from 'vitest';
import { planWith } from '../../../../../tests/support/arbitraries';
import { allCompleted } from '../../catalogue';
import type { Wish } from '../../wish';
import { planRun } from '../planner';
import { unreadIn } from './unread';

const unread = (...wishes: Wish[]) => {
	const plan = planWith(allCompleted(wishes));
	return unreadIn(plan, planRun(plan)).map(({ wish, field }) => `${wish} ${field}`);
};

test('names that a layout has no place for are told, those that stand on the page are not', () => {
	const items = [{ name: 'Night ferry band' }, { name: 'Bread' }];
	expect(unread({ id: 'f', kind: 'follower-counts', items })).toEqual([]);
	expect(unread({ id: 'f', kind: 'follower-counts', form: 'table', items })).toEqual(['f items']);
	expect(unread({ id: 'h', kind: 'habits', title: 'Daily', items })).toEqual([]);
	// What the kind begins with was written by nobody.
	expect(unread({ id: 'h', kind: 'habits' }, { id: 'c', kind: 'cover', title: 'MAY' })).toEqual([]);
	const events = [{ day: 3, text: 'Concert' }];
	expect(unread({ id: 'n', kind: 'notes', events }, { id: 'm', kind: 'mood', text: 'x' })).toEqual([
		'n events',
		'm text'
	]);
});

test('a week that was chosen and is not in the set is told with its reason', () => {
	// May 2027 from Monday: the 1st and 2nd are a short week, the 31st another one.
	const plan = planWith([
		{
			id: 'w',
			kind: 'weekly-pages',
			weeks: { belong: 'touching', short: 'fold', pagesPerWeek: 1, only: [1, 2] }
		}
	]);
	expect(planRun(plan).unplaced).toEqual([
		{
			wish: 'w',
			part: 'week 1 of the month',
			reason: 'it is short, and its days are written in the week beside it'
		}
	]);
});

test('a member that a short week has no place for is told there', () => {
	const plan = planWith([
		{
			id: 'w',
			kind: 'weekly-pages',
			weeks: { belong: 'touching', short: 'own', pagesPerWeek: 1, only: [6] },
			members: [{ id: 't', kind: 'tasks', title: 'Errands' }]
		}
	]);
	const [week] = planRun(plan).blocks;
	expect(week?.why).toContain('“Errands” has no place in a short week');
});
