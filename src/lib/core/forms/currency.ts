import countryToCurrency from 'country-to-currency';

const currencies: ReadonlyMap<string, string> = new Map(Object.entries(countryToCurrency));

/**
 * A text with the sign of the locale's own currency for each "¤", which stands for any currency (ISO/IEC
 * 8859-1). The currency is that of the country where the language is mostly spoken, unless the tag names another.
 */
export function withCurrency(text: string, locale: string): string {
	if (!text.includes('¤')) return text;
	const currency = currencies.get(new Intl.Locale(locale).maximize().region ?? '');
	if (!currency) return text;
	const parts = new Intl.NumberFormat(locale, {
		style: 'currency',
		currency,
		currencyDisplay: 'narrowSymbol'
	}).formatToParts(0);
	return text.replaceAll('¤', parts.find(({ type }) => type === 'currency')?.value ?? currency);
}
