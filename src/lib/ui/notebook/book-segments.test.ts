import { expect, test } from 'vitest';
import { a5 } from '../../../../tests/support/arbitraries';
import { lastPage, segmentsOf } from './book-segments';

test('a book is told from its first page to its last, without a gap', () => {
	const book = { ...a5, totalPages: 40, freePages: [{ first: 11, last: 36 }] };
	const segments = segmentsOf(book, [{ pages: [11, 12, 13] }, { pages: [14, 15] }]);
	expect(segments).toEqual([
		{ first: 1, last: 10, what: 'out' },
		{ first: 11, last: 13, what: 0 },
		{ first: 14, last: 15, what: 1 },
		{ first: 16, last: 36, what: 'free' },
		{ first: 37, last: 40, what: 'out' }
	]);
	expect(lastPage(book)).toBe(40);
	expect(lastPage({ ...book, totalPages: undefined })).toBe(36);
});
