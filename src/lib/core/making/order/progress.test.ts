import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoPlan } from '../../../../../tests/support/arbitraries';
import { planRun } from '../../fit';
import {
	doneTimes,
	makingPlan,
	mergeProgress,
	mindAt,
	movedDays,
	simplerWays,
	simplified,
	usualEvenings,
	usualMaking,
	usualShelf,
	type Progress,
	type Task
} from '..';

const early = '2000-01-01';

describe('how far a month is made', () => {
	const anyProgress: fc.Arbitrary<Progress> = fc.record({
		done: fc.uniqueArray(
			fc.record(
				{
					id: fc.constantFrom('62 rule', '63 rule', '64 write'),
					at: fc.integer({ min: 0, max: 9 }),
					undone: fc.boolean()
				},
				{ requiredKeys: ['id', 'at'] }
			),
			{ selector: ({ id }) => id }
		),
		moved: fc.uniqueArray(
			fc.record(
				{
					left: fc.constantFrom(62, 64),
					at: fc.integer({ min: 0, max: 9 }),
					day: fc.constantFrom('2027-04-24', '2027-04-25')
				},
				{ requiredKeys: ['left', 'at'] }
			),
			{ selector: ({ left }) => left }
		)
	});
	const known = (progress: Progress) => [
		new Map(progress.done.map(({ id, at }) => [id, at])),
		new Map(progress.moved.map(({ left, at }) => [left, at]))
	];

	test('is the same whichever device tells first, and loses no later word', () => {
		fc.assert(
			fc.property(anyProgress, anyProgress, anyProgress, (a, b, c) => {
				const left = mergeProgress(mergeProgress(a, b), c);
				const right = mergeProgress(a, mergeProgress(b, c));
				expect(known(left)).toEqual(known(right));
				expect(known(mergeProgress(a, b))).toEqual(known(mergeProgress(b, a)));
				expect(mergeProgress(left, left)).toEqual(left);
				for (const { id, at } of [...a.done, ...b.done, ...c.done])
					expect(left.done.find((tick) => tick.id === id)?.at).toBeGreaterThanOrEqual(at);
			})
		);
	});

	test('a tick that is taken back is no tick, and a spread let go goes where it fits', () => {
		const tick = { id: '62 rule', at: 1 };
		const done = mergeProgress(
			{ done: [tick], moved: [{ left: 62, at: 1, day: '2027-04-25' }] },
			{ done: [{ ...tick, at: 2, undone: true }], moved: [{ left: 62, at: 2 }] }
		);
		expect([doneTimes(done), movedDays(done)]).toEqual([{}, {}]);
	});
});

test('a spread is made in the sitting that a person gives it to', () => {
	const plan = demoPlan();
	const run = planRun(plan);
	const free = makingPlan(plan, run, usualMaking, usualEvenings, early);
	const [first, , third] = free.sittings;
	const spread = first?.pieces[0]?.left ?? 0;
	const moved = makingPlan(plan, run, usualMaking, usualEvenings, early, {
		[spread]: third?.day ?? ''
	});
	const found = moved.sittings.find(({ pieces }) => pieces.some(({ left }) => left === spread));
	expect(found?.day).toBe(third?.day);
	expect(moved.unseated).toEqual([]);
});

describe('what to mind', () => {
	const task: Task = { id: '62 rule', page: 62, pass: 'rule', seconds: 60 };
	test('follows from the ink, the paper and what was found on the test page', () => {
		const shelf = { ...usualShelf, rule: { kind: 'alcohol' } } as const;
		expect(mindAt(task, shelf)).toEqual([expect.stringContaining('page 61 behind')]);
		expect(mindAt(task, shelf, { bearsAlcoholInk: true })).toEqual([]);
		const found = { ...shelf, rule: { kind: 'alcohol', back: 'clean' } } as const;
		expect(mindAt(task, found)).toEqual([]);
		expect(mindAt({ ...task, page: 63 }, usualShelf, { weight: 80 })).toEqual([
			expect.stringContaining('It shows on page 64 behind')
		]);
		expect(mindAt(task, usualShelf, { weight: 100 })).toEqual([]);
	});

	test('gel is not for acrylic, and a brush not for lines that run', () => {
		const acrylic = { ...usualShelf, tint: { kind: 'acrylic' }, rule: { kind: 'gel' } } as const;
		expect(mindAt(task, acrylic)).toContainEqual(expect.stringContaining('acrylic'));
		const wash = { ...usualShelf, tint: { kind: 'watercolour' } } as const;
		const tint: Task = { ...task, pass: 'tint' };
		expect(mindAt(tint, wash)).toHaveLength(1);
		expect(mindAt(tint, { ...wash, rule: { kind: 'dye' } })).toHaveLength(2);
		expect(mindAt(tint, { ...wash, rule: { kind: 'dye', waterproof: true } })).toHaveLength(1);
	});
});

test('simpler ways are tried from what takes the most strokes, and change nothing else', () => {
	const plan = demoPlan();
	const ways = simplerWays(plan, planRun(plan));
	expect(ways.slice(0, 2)).toEqual([
		{ kind: 'titles', titles: 'written' },
		{ kind: 'titles', titles: 'none' }
	]);
	for (const way of ways) {
		const other = { ...plan, ...simplified(plan, way) };
		const same = other.wishes.filter((wish, at) => wish === plan.wishes[at]);
		expect(same).toHaveLength(plan.wishes.length - (way.kind !== 'titles' ? 1 : 0));
	}
});
