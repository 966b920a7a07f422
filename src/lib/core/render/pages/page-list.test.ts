import fc from 'fast-check';
import { expect, test } from 'vitest';
import { pageOf } from '../../paper';
import { demoPlan } from '../../../../../tests/support/arbitraries';
import { listedPages, pageList } from './page-list';

const { notebook } = demoPlan();
const pages = Array.from({ length: 30 }, (_, at) => pageOf(notebook, 60 + at));

test('a list that is written is read as the same pages, in any order and with either dash', () => {
	fc.assert(
		fc.property(fc.subarray(pages, { minLength: 1 }), fc.boolean(), (some, hyphens) => {
			const numbers = some.map(({ number }) => number);
			const text = hyphens ? pageList(numbers).replaceAll('–', '-') : pageList(numbers);
			const read = listedPages(text.split(', ').reverse().join(' ,'), pages);
			expect(read.ok && read.pages.map(({ number }) => number)).toEqual(numbers);
		})
	);
	expect(pageList([64, 65, 66, 70])).toBe('64–66, 70');
});

test.each([
	['64-99', 'the run has pages 60 to 89; “99” is none of them'],
	['66–64', 'must go forwards: “66–64” ends before it begins'],
	['the cover', 'must be pages such as 64–67, 70; “the cover” is none']
])('%s is refused: %s', (text, message) => {
	expect(listedPages(text, pages)).toEqual({ ok: false, message });
});

test('nothing asked for is everything', () => {
	expect(listedPages(' , ', pages)).toEqual({ ok: true, pages });
});
