import { expect, test } from 'vitest';
import type { KeptMonth } from '$lib/core/fit';
import { withoutAct } from './without-act';

const wish = (id: string, title = id) => ({ id, kind: 'notes', title });
const month = (...ids: string[]): KeptMonth => ({
	month: '2027-05',
	weekStart: 'monday',
	aim: 'balanced',
	wishes: ids.map((id) => wish(id))
});
const idsOf = ({ wishes }: KeptMonth) => wishes.map(({ id }) => id).join('');

test('what an act added goes, and what was added or changed since stays', () => {
	const now = { ...month('a', 'n', 'b', 'c'), aim: 'roomiest' as const };
	const changed = { ...now, wishes: now.wishes.map((one) => ({ ...one, title: 'new' })) };
	const back = withoutAct(month('a', 'b'), month('a', 'n', 'b'), changed);
	expect(idsOf(back)).toBe('abc');
	expect(back.aim).toBe('roomiest');
	expect(back.wishes[0]?.title).toBe('new');
});

test('what an act took away comes back behind its neighbour', () => {
	expect(idsOf(withoutAct(month('a', 'b', 'c'), month('a', 'c'), month('a', 'x', 'c')))).toBe(
		'abxc'
	);
	expect(idsOf(withoutAct(month('a', 'b'), month('b'), month('b', 'c')))).toBe('abc');
	expect(idsOf(withoutAct(month('a', 'b'), month('a'), month()))).toBe('b');
});

test('what an act changed is as before, unless it was changed again', () => {
	const before = month('a', 'b');
	const after: KeptMonth = {
		...before,
		aim: 'roomiest',
		titles: 'written',
		wishes: [wish('a', '1'), wish('b', '1')]
	};
	const now: KeptMonth = {
		...after,
		aim: 'fewest-pages',
		wishes: [wish('a', '2'), wish('b', '1')]
	};
	const back = withoutAct(before, after, now);
	expect(back.aim).toBe('fewest-pages');
	expect(back.titles).toBeUndefined();
	expect(back.wishes.map(({ title }) => title)).toEqual(['2', 'b']);
});
