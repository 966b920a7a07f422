import { beforeEach, expect, test } from 'vitest';
import { guess, newOffer, openOffer, type Offer } from './pairing';

const start = Date.UTC(2027, 4, 1);
let offer: Offer;
beforeEach(() => {
	offer = newOffer(start);
});
const wrong = () => (offer.code === '000000' ? '000001' : '000000');

test('a code lets one device in, once', () => {
	expect(offer.code).toMatch(/^\d{6}$/);
	expect(guess(offer.code, start)).toBe('right');
	expect(guess(offer.code, start)).toBe('none');
	expect(openOffer(start)).toBeUndefined();
});

test('it holds for five minutes', () => {
	expect(openOffer(start + 299_999)).toEqual(offer);
	expect(guess(offer.code, start + 300_000)).toBe('none');
});

test('after five wrong guesses even the right one is none', () => {
	for (let tried = 0; tried < 5; tried++) expect(guess(wrong(), start)).toBe('wrong');
	expect(guess(offer.code, start)).toBe('none');
});

test.each(['', '12345', '1234567', 'ééé', `${'9'.repeat(1000)}`])(
	'“%s” is no code and breaks nothing',
	(code) => {
		expect(guess(code, start)).toBe('wrong');
		expect(guess(offer.code, start)).toBe('right');
	}
);

test('a new code takes the place of the one before', () => {
	const newer = newOffer(start);
	if (newer.code !== offer.code) expect(guess(offer.code, start)).toBe('wrong');
	expect(guess(newer.code, start)).toBe('right');
});
