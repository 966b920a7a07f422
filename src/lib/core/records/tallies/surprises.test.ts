import { describe, expect, test } from 'vitest';
import type { Tally } from './tally';
import { surprisesOf } from './surprises';

const habits = (rates: Readonly<Record<string, number>>): Tally => ({
	of: 'marks',
	rows: Object.entries(rates).map(([name, met]) => ({
		item: { name },
		days: new Map(),
		tally: { met, due: 10, longest: 0, present: 0, period: 'day' as const, byWeekday: [] }
	}))
});
const nights = (length: number | undefined): Tally => ({
	of: 'times',
	nights: new Map(),
	length,
	from: undefined,
	to: undefined
});

describe('what surprises against the month before', () => {
	test('the largest difference comes first, and small ones are none', () => {
		const found = surprisesOf([
			{
				name: 'Habits',
				now: habits({ Stretch: 9, Water: 5, Walk: 5 }),
				before: habits({ Stretch: 4, Water: 5, Walk: 8 })
			},
			{ name: 'Sleep', now: nights(420), before: nights(405) }
		]);
		expect(found).toEqual([
			{ of: 'rate', name: 'Stretch', before: 0.4, after: 0.9 },
			{ of: 'rate', name: 'Walk', before: 0.8, after: 0.5 },
			{ of: 'length', name: 'Sleep', before: 405, after: 420 }
		]);
	});

	test('what was not kept in the month before, or not now, is no surprise', () => {
		expect(surprisesOf([{ name: 'Sleep', now: nights(300), before: undefined }])).toEqual([]);
		expect(surprisesOf([{ name: 'Sleep', now: nights(300), before: nights(undefined) }])).toEqual(
			[]
		);
		expect(
			surprisesOf([{ name: 'H', now: habits({ New: 9 }), before: habits({ Old: 1 }) }])
		).toEqual([]);
	});
});
