import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyWishes } from '../../../../tests/support/arbitraries';
import {
	allWishes,
	arranged,
	depthOf,
	hostOf,
	intoHost,
	mayHold,
	outOfHost,
	without,
	withChanged,
	wishById
} from '.';

const month = [
	{ id: 'calendar', kind: 'month-calendar', members: [{ id: 'tasks', kind: 'tasks' }] },
	{ id: 'page', kind: 'composed', members: [{ id: 'inner', kind: 'month-calendar' }] },
	{ id: 'quote', kind: 'quote', pin: { page: 14 }, filler: true }
];
const idsIn = (wishes: Parameters<typeof allWishes>[0]) => allWishes(wishes).map(({ id }) => id);

describe('members', () => {
	test('a wish moves into a room and forgets its page; taken out it stands behind its host', () => {
		const inside = intoHost(month, 'quote', 'calendar', { room: 'right' });
		expect(inside[0]?.members?.[1]).toEqual({ id: 'quote', kind: 'quote', room: 'right' });
		expect(idsIn(outOfHost(inside, 'tasks'))).toEqual([
			'calendar',
			'quote',
			'tasks',
			'page',
			'inner'
		]);
		expect(outOfHost(month, 'tasks')[0]).not.toHaveProperty('members');
	});

	test('nest two deep and no deeper, never in themselves or in weekly pages', () => {
		expect(mayHold(month, 'inner', 'quote')).toBe(true);
		expect(mayHold(month, 'inner', 'calendar')).toBe(false);
		expect(mayHold(month, 'page', 'calendar')).toBe(true);
		expect(mayHold(month, 'page', 'page')).toBe(false);
		expect(mayHold(month, 'inner', 'page')).toBe(false);
		const weeks = { belong: 'touching', short: 'own', pagesPerWeek: 2 } as const;
		const weekly = [...month, { id: 'weeks', kind: 'weekly-pages', weeks }];
		expect(mayHold(weekly, 'weeks', 'quote')).toBe(true);
		expect(mayHold(weekly, 'page', 'weeks')).toBe(false);
	});

	test('an order that names a stranger takes it in', () => {
		expect(idsIn(arranged(month, 'page', ['quote', 'inner']))).toEqual([
			'calendar',
			'tasks',
			'page',
			'quote',
			'inner'
		]);
		expect(idsIn(arranged(month, undefined, ['calendar', 'inner', 'page', 'quote']))).toEqual([
			'calendar',
			'tasks',
			'inner',
			'page',
			'quote'
		]);
		expect(arranged(month, undefined, ['calendar', 'page', 'quote'])).toBe(month);
	});

	test('whatever moves where, nothing is lost, doubled or nested too deep', () => {
		fc.assert(
			fc.property(anyWishes, fc.array(fc.tuple(fc.nat(), fc.nat(), fc.boolean())), (any, moves) => {
				let wishes: readonly (typeof any)[number][] = any;
				for (const [a, b, out] of moves) {
					const ids = idsIn(wishes);
					const [id, host] = [ids[a % ids.length], ids[b % ids.length]];
					if (id === undefined || host === undefined) return;
					wishes = out ? outOfHost(wishes, id) : intoHost(wishes, id, host);
				}
				expect(idsIn(wishes).sort()).toEqual(idsIn(any).sort());
				for (const id of idsIn(wishes)) {
					expect(depthOf(wishes, id)).toBeLessThanOrEqual(2);
					// A set of weeks lives in nothing else.
					if (wishById(wishes, id)?.weeks) expect(hostOf(wishes, id)).toBeUndefined();
				}
			})
		);
	});

	test('what is changed or removed is the one with that id alone', () => {
		const renamed = withChanged(month, 'inner', (wish) => ({ ...wish, title: 'June' }));
		expect(allWishes(renamed).filter(({ title }) => title)).toHaveLength(1);
		expect(renamed[0]).toBe(month[0]);
		expect(idsIn(without(month, 'page'))).toEqual(['calendar', 'tasks', 'quote']);
	});
});
