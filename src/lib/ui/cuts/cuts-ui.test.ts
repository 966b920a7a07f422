import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { a5 } from '../../../../tests/support/arbitraries';
import { cutFault, cutKinds, frontsOf } from '$lib/core/cuts';
import { cutHandles } from './cut-handles';
import { cutTitle, newCut } from './cut-words';

const page = { columns: 28, rows: 40 };

describe('a new cut', () => {
	test.each(cutKinds)('a %s can be made as it is proposed, and is named', (kind) => {
		const cut = newCut('new', kind, 13, page);
		expect(cutFault(a5, cut)).toBeUndefined();
		expect(cutTitle(cut)).toMatch(/leaf 13|leaves from 13/);
	});
});

test('tabs stand on what a door leaves of its leaves, one on each', () => {
	const door = { ...newCut('door', 'top', 13, page), amount: 14, leaves: { first: 13, last: 19 } };
	const tabs = newCut('tabs', 'tab', 15, page, [door]);
	expect(tabs).toMatchObject({ leaves: door.leaves, from: 14, size: { w: 2, h: 6 } });
	expect(cutFault(a5, tabs)).toBeUndefined();
	// On 12 rows four tabs are 3 high.
	const low = newCut('tabs', 'tab', 15, page, [{ ...door, kind: 'bottom', amount: 28 }]);
	expect(low).toMatchObject({ size: { w: 2, h: 3 }, step: 3 });
	expect(low.from).toBeUndefined();
});

describe('the handles of a cut', () => {
	test.each(cutKinds)('pulled nowhere, a %s stays what it is', (kind) => {
		const cut = newCut('new', kind, 13, page);
		for (const front of frontsOf(cut))
			for (const handle of cutHandles(cut, front, page)) expect(handle.to(handle)).toEqual(cut);
	});

	test.each(cutKinds)('wherever it is pulled, a %s can still be made', (kind) => {
		const cut = newCut('new', kind, 13, page);
		const anyDot = fc.record({
			x: fc.integer({ min: -9, max: 40 }),
			y: fc.integer({ min: -9, max: 60 })
		});
		fc.assert(
			fc.property(anyDot, fc.nat(), (dot, at) => {
				const handles = cutHandles(cut, 13, page);
				const handle = handles[at % Math.max(1, handles.length)];
				if (handle) expect(cutFault(a5, handle.to(dot))).toBeUndefined();
			})
		);
	});

	test('an edge that is pulled to a column is there then', () => {
		const door = newCut('door', 'strip', 13, page);
		const [edge] = cutHandles(door, 13, page);
		const pulled = edge?.to({ x: 20.4, y: 3 }) ?? door;
		expect(pulled.amount).toBe(8);
		expect(cutHandles(pulled, 13, page)[0]?.x).toBe(20);
		const fall = newCut('fall', 'waterfall', 13, page);
		const [second] = cutHandles(fall, 15, page);
		expect(second?.to({ x: 25, y: 0 }).step).toBe(3);
	});
});
