import { describe, expect, test } from 'vitest';
import { a5, planWith } from '../../../../../tests/support/arbitraries';
import type { Wish } from '../../wish';
import { planRun } from '../planner';

const pages = (first: number, last: number) => ({
	notebook: { ...a5, freePages: [{ first, last }] }
});
const reasons = (wishes: Wish[], first: number, last: number) =>
	Object.fromEntries(
		planRun(planWith(wishes, pages(first, last))).unplaced.map(({ wish, reason }) => [wish, reason])
	);
const sized = (id: string, w: number, h: number, more: Partial<Wish> = {}): Wish => ({
	id,
	kind: 'notes',
	filler: false,
	size: { w, h },
	...more
});

describe('what finds no place names the true cause', () => {
	test('the order of the list, where there is room elsewhere', () => {
		// Page 12 has room below the first, but what stands before it in the list fills page 13.
		const found = reasons(
			[
				sized('first', 28, 10, { importance: 'must' }),
				sized('whole', 28, 40, { importance: 'must' }),
				sized('late', 28, 20, { importance: 'spare' })
			],
			12,
			13
		);
		expect(found).toEqual({
			late: 'there is room elsewhere, but not between what stands before it in the list and what stands after it'
		});
	});

	test('a page that it is pinned to', () => {
		const found = reasons(
			[
				sized('whole', 28, 40, { importance: 'must', pin: { page: 12 } }),
				sized('there', 28, 20, { pin: { page: 12 } })
			],
			12,
			13
		);
		expect(found).toEqual({ there: 'page 12, where it is pinned, has no room for it' });
	});

	test('what it must face', () => {
		const found = reasons(
			[
				sized('a', 28, 40, { importance: 'must' }),
				sized('b', 28, 40, { facing: 'a', importance: 'spare' })
			],
			13,
			14
		);
		expect(found.b).toMatch(/^it must face “Notes”/);
	});

	test('full pages, with the fewest squares that it takes', () => {
		const found = reasons(
			[
				sized('whole', 28, 40, { importance: 'must' }),
				{ id: 'h', kind: 'habits', items: [{ name: 'Walk' }], importance: 'spare' }
			],
			13,
			13
		);
		const [, w, h] = /^at least (\d+) × (\d+) squares/.exec(found.h ?? '') ?? [];
		// In a room of that size it is ruled, and in none that is a row lower.
		const alone = (height: number) =>
			planRun(
				planWith([{ id: 'h', kind: 'habits', items: [{ name: 'Walk' }] }], {
					notebook: {
						...a5,
						columns: Number(w),
						rows: height,
						pageMm: { width: 5 * Number(w) + 8, height: 5 * height + 8 },
						freePages: [{ first: 13, last: 13 }]
					}
				})
			).unplaced.length;
		expect(alone(Number(h))).toBe(0);
	});

	test('the others in a page, or the page itself', () => {
		const member = (id: string, h: number) => sized(id, 28, h, { importance: 'spare' });
		const host = (...members: Wish[]) =>
			Object.values(reasons([{ id: 'host', kind: 'composed', form: 'composed', members }], 13, 13));
		expect(host(member('a', 30), member('b', 30))).toEqual([
			expect.stringMatching(/beside the others$/)
		]);
		expect(host(member('a', 60))[0]).toMatch(/has no room for it, even by itself$/);
	});

	test('beyond twelve none is named', () => {
		const many = Array.from({ length: 14 }, (_, at) => sized(`n${at}`, 28, 40));
		const found = Object.values(reasons(many, 12, 12));
		expect(found.filter((reason) => reason !== 'no place found')).toHaveLength(12);
		expect(found).toContain('no place found');
	});
});

test('a size set by hand stays, a filler’s too', () => {
	const run = planRun(planWith([sized('dump', 15, 12, { kind: 'brain-dump', filler: true })]));
	expect(run.blocks[0]?.pieces[0].rect).toMatchObject({ w: 15, h: 12 });
});
