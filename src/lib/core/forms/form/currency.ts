import countryToCurrency from 'country-to-currency';

const currencies: ReadonlyMap<string, string> = new Map(Object.entries(countryToCurrency));

/**
 * A text with the sign of the locale's own currency for each "¤", which stands for any currency (ISO/IEC
 * 8859-1). The currency is that of the country where the language is mostly spoken, unless the tag names another.
 */
export function withCurrency(text: string, locale: string): string {
	if (!text.includes('¤')) return text;
	const known = signs.get(locale) ?? signOf(locale);
	signs.set(locale, known);
	return text.replaceAll('¤', known);
}

/** Asking for them takes longer than ruling a table. */
const signs = new Map<string, string>();

function signOf(locale: string): string {
	const currency = currencies.get(new Intl.Locale(locale).maximize().region ?? '');
	if (!currency) return '¤';
	const parts = new Intl.NumberFormat(locale, {
		style: 'currency',
		currency,
		currencyDisplay: 'narrowSymbol'
	}).formatToParts(0);
	return parts.find(({ type }) => type === 'currency')?.value ?? currency;
}
