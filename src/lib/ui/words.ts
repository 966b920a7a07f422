import { monthTitle, parseMonth, type YearMonth } from '$lib/core/month';

/** The language that the screens speak; pages are written in the person's. */
const screenLanguage = 'en';

/** A month in words, for sentences of the screens: "May 2027"; a text that is no month stays as it is. */
export function monthWords(month: YearMonth | string): string {
	if (typeof month !== 'string') return monthTitle(screenLanguage, month);
	const parsed = parseMonth(month);
	return parsed ? monthTitle(screenLanguage, parsed) : month;
}

/** A number as the screens write it. */
export function numberWords(value: number): string {
	return value.toLocaleString(screenLanguage);
}

/** “1st”, “22nd” */
export function nth(count: number): string {
	const tens = count % 100;
	const end = ['th', 'st', 'nd', 'rd'][count % 10] ?? 'th';
	return `${count}${tens >= 11 && tens <= 13 ? 'th' : end}`;
}

/** A length, in metres from one on: "155 mm", "1.2 m". */
export function lengthWords(mm: number): string {
	const rounded = (value: number) => numberWords(Math.round(value * 10) / 10);
	return mm < 1000 ? `${rounded(mm)}\u00a0mm` : `${rounded(mm / 1000)}\u00a0m`;
}

/** Words as the beginning of a sentence. */
export function sentence(words: string): string {
	return words.charAt(0).toUpperCase() + words.slice(1);
}
