import { expect, test } from 'vitest';
import { isMeant, kinds, kindsCalled } from '.';

// What people call these pages: common practice.
test.each([
	['expenses', 'spending'],
	['money', 'spending'],
	['budget', 'spending'],
	['to-do', 'tasks'],
	['todo', 'tasks'],
	['film', 'media-log'],
	['weather', 'mood'],
	['workout', 'exercise-log'],
	['period', 'habits'],
	['water', 'habits'],
	['birthday', 'events'],
	['cleaning', 'chores-last-done'],
	['contract', 'orders'],
	['battery', 'chores-last-done'],
	['weekly spread', 'weekly-pages'],
	['expences', 'spending'],
	['gratitdue', 'gratitude'],
	['calender', 'month-calendar']
])('“%s” finds %s', (typed, id) => {
	expect(kindsCalled(typed).map((kind) => kind.id)).toContain(id);
});

test('a kind is found first by its own name, and nothing is found by what nobody says', () => {
	expect(kindsCalled('sleep')[0]?.id).toBe('sleep');
	for (const { id, name } of kinds) expect(kindsCalled(name)[0]?.id, name).toBe(id);
	expect(kindsCalled('zzyzx')).toEqual([]);
	expect(kindsCalled('')).toHaveLength(kinds.length);
});

test('a kind of one’s own is found by its name and by what its kind is called', () => {
	const own = { name: 'Sourdough', about: 'Your own.', kind: 'exercise-log' };
	expect(isMeant(own, 'sourd')).toBe(true);
	expect(isMeant(own, 'workout')).toBe(true);
	expect(isMeant(own, 'film')).toBe(false);
});
