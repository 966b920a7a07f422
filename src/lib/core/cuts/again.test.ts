import { expect, test } from 'vitest';
import { cutsAgain, leavesWithin, type Cut } from '.';

const door: Cut = { id: 'strip', kind: 'strip', leaves: { first: 21, last: 27 }, amount: 8 };

test('leaves of a set are those with both pages in it', () => {
	// As recorded: weeks on pages 20 to 29 are cut on leaves 21 to 27, whose backs are 22 to 28.
	expect(leavesWithin({ first: 20, last: 29 })).toEqual({ first: 21, last: 27 });
	expect(leavesWithin({ first: 21, last: 30 })).toEqual({ first: 21, last: 29 });
	expect(leavesWithin({ first: 20, last: 21 })).toBeUndefined();
});

test('the latest door is offered again, on the new leaves, until there is one', () => {
	const older: Cut = { ...door, leaves: { first: 3, last: 9 }, amount: 5 };
	const set = { first: 74, last: 83 };
	expect(cutsAgain([door, older], [], set)).toEqual([{ ...door, leaves: { first: 75, last: 81 } }]);
	expect(cutsAgain([door], [{ ...door, leaves: { first: 75, last: 79 } }], set)).toEqual([]);
	expect(cutsAgain([door], [], undefined)).toEqual([]);
});

test('a window of one leaf is not', () => {
	const window: Cut = {
		id: 'window',
		kind: 'window',
		leaves: { first: 13, last: 13 },
		rect: { x: 2, y: 2, w: 4, h: 4 }
	};
	expect(cutsAgain([window], [], { first: 20, last: 29 })).toEqual([]);
});
