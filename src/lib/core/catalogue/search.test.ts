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

// As people say it, and what they mean: common practice.
test.each([
	['to do', 'tasks'],
	['to do list', 'tasks'],
	['gratitude log', 'gratitude'],
	['expense tracker', 'spending'],
	['when did I last', 'chores-last-done'],
	['mind map', 'brain-dump'],
	['weight', 'weight'],
	['weight tracker', 'weight'],
	['habit tracker', 'habits'],
	['mood tracker', 'mood'],
	['sleep log', 'sleep'],
	['water tracker', 'wellness'],
	['workout log', 'exercise-log'],
	['books to read', 'reading-list'],
	['movies to watch', 'media-log'],
	['tv shows', 'media-log'],
	['grocery list', 'shopping-list'],
	['meal plan', 'meals'],
	['meal planner', 'meals'],
	['future log', 'year-strip'],
	['important dates', 'events'],
	['birthdays', 'events'],
	['monthly goals', 'goals'],
	['savings tracker', 'savings'],
	['bills', 'bills-by-month'],
	['no spend challenge', 'no-spend-days'],
	['packing for a trip', 'packing-list'],
	['holiday', 'packing-list'],
	['cleaning schedule', 'cleaning-plan'],
	['screen time', 'screen-time'],
	['phone', 'screen-time'],
	['key', 'colour-legend'],
	['color code', 'colour-legend'],
	['song lyrics', 'quote'],
	['title page', 'cover'],
	['table of contents', 'index'],
	['blank page', 'notes'],
	['end of the month', 'month-review'],
	['memories', 'highlights'],
	['time blocking', 'timetable'],
	['medication', 'wellness'],
	['language words', 'vocabulary'],
	['letter to my future self', 'letter-to-myself'],
	['weekly spread', 'weekly-pages'],
	['social media', 'content-plan']
])('“%s” finds %s among the first three', (typed, id) => {
	expect(
		kindsCalled(typed)
			.slice(0, 3)
			.map((kind) => kind.id)
	).toContain(id);
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
