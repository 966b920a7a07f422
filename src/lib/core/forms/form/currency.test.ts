import { expect, test } from 'vitest';
import { withCurrency } from './currency';

// Referee: the currencies of ISO 4217, from memory; their signs are the platform's own.
test.each([
	['en-GB', 'Cost £'],
	['en', 'Cost $'],
	['de', 'Cost €'],
	['pl', 'Cost zł'],
	['ja', 'Cost ￥'],
	['fr-CH', 'Cost CHF']
])('the currency of %s', (locale, expected) => {
	expect(withCurrency('Cost ¤', locale)).toBe(expected);
});

test('a text that names its own currency keeps it', () => {
	expect(withCurrency('Cost CHF', 'de')).toBe('Cost CHF');
	expect(withCurrency('Cost ¤', 'eo')).not.toBe('');
});
