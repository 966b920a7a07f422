import { expect, test } from 'vitest';
import { usualShelf, type MakingPlan, type Task, type WorkPiece } from '../../core/making';
import { clockWords, minuteWords, restFor, waitFor, wetNow } from './drying';

const task = (page: number, pass: Task['pass']): Task => ({
	id: `${page} ${pass}`,
	page,
	pass,
	seconds: 60
});
const tasks = [task(4, 'tint'), task(5, 'rule'), task(4, 'rule'), task(5, 'look')];
const piece: WorkPiece = {
	left: 4,
	tasks,
	neededBy: '2027-05-01',
	ordered: {
		order: tasks.map((_, job) => ({ job, start: job * 60, end: job * 60 + 60 })),
		end: 240,
		bound: 240,
		proven: true
	}
};
const plan: MakingPlan = {
	sittings: [
		{
			day: '2027-04-24',
			at: '20:00',
			minutes: 50,
			pieces: [piece],
			steps: [],
			seconds: 240,
			late: false
		}
	],
	unseated: [],
	seconds: 240,
	proven: true
};

test('what is wet is told once a page, until it is dry', () => {
	// A brush pen is dry to the touch after 60 s, a fine liner after 30 s.
	const done = { '4 tint': 0, '4 rule': 20_000, '5 rule': 20_000, '5 look': 20_000 };
	expect(wetNow(plan, done, usualShelf, 25_000).map((wet) => [wet.task.id, wet.left])).toEqual([
		['5 rule', 25],
		['4 tint', 35]
	]);
	expect(wetNow(plan, done, usualShelf, 60_000)).toEqual([]);
});

test('a task waits for what it must not smear', () => {
	const delays = [{ from: 0, to: 2, least: 180 }];
	const rule = tasks[2];
	if (!rule) throw new Error('no task');
	expect(waitFor(piece, { jobs: [], delays }, rule, { '4 tint': 0 }, 60_000)?.left).toBe(120);
	expect(waitFor(piece, { jobs: [], delays }, rule, { '4 tint': 0 }, 180_000)).toBeUndefined();
	// What is not done yet has no clock.
	expect(waitFor(piece, { jobs: [], delays }, rule, {}, 60_000)).toBeUndefined();
});

test('times are told as a clock and in words', () => {
	expect([5, 65, 600].map(clockWords)).toEqual(['0:05', '1:05', '10:00']);
	expect([30, 60, 3600, 4200].map(minuteWords)).toEqual(['30 s', '1 min', '1 h', '1 h 10 min']);
});

test('a hand that worked for 25 minutes without a pause rests for five', () => {
	const long = tasks.map((own) => ({ ...own, seconds: 9 * 60 }));
	const working: MakingPlan = {
		...plan,
		sittings: plan.sittings.map((sitting) => ({
			...sitting,
			pieces: [{ ...piece, tasks: long }]
		}))
	};
	const minute = 60_000;
	const after = (...minutes: number[]) =>
		Object.fromEntries(
			long.slice(0, minutes.length).map(({ id }, at) => [id, (minutes[at] ?? 0) * minute])
		);
	expect(restFor(working, after(9, 18), 19 * minute)).toBe(0);
	expect(restFor(working, after(9, 18, 27), 28 * minute)).toBe(240);
	expect(restFor(working, after(9, 18, 27), 33 * minute)).toBe(0);
	// A pause of six minutes lies between the second and the third.
	expect(restFor(working, after(9, 18, 33), 33 * minute)).toBe(0);
});
