import { describe, expect, test } from 'vitest';
import type { Wish } from '../wish';
import { withAdded } from './belongs';

const list = (...kinds: string[]): Wish[] => kinds.map((kind) => ({ id: kind, kind }));
const kindsOf = (wishes: readonly Wish[]) => wishes.map(({ kind }) => kind).join(' ');
const added = (kind: string, wishes: Wish[]) => withAdded(wishes, { id: 'new', kind });

describe('what is added stands where it belongs', () => {
	test('behind what is for the same, before what comes later in the month', () => {
		const month = list('cover', 'month-calendar', 'habits', 'weekly-pages', 'month-review');
		expect(kindsOf(added('mood', month))).toBe(
			'cover month-calendar habits mood weekly-pages month-review'
		);
		expect(kindsOf(added('brain-dump', month))).toBe(
			'cover month-calendar habits brain-dump weekly-pages month-review'
		);
		expect(kindsOf(added('cover', list('habits')))).toBe('cover habits');
	});

	test('a person’s own order is not mended', () => {
		const month = list('weekly-pages', 'habits', 'cover');
		expect(kindsOf(added('sleep', month))).toBe('weekly-pages habits cover sleep');
	});

	test('a quote stands with the cover and faces it, unless another does', () => {
		const month = list('month-calendar', 'cover', 'habits');
		const once = added('quote', month);
		expect(kindsOf(once)).toBe('month-calendar cover quote habits');
		expect(once[2]?.facing).toBe('cover');
		const twice = withAdded(once, { id: 'second', kind: 'quote' });
		expect(twice[2]).toEqual({ id: 'second', kind: 'quote' });
		expect(withAdded(list('cover'), { id: 'q', kind: 'quote', pin: { page: 70 } })[1]?.facing).toBe(
			undefined
		);
	});
});
