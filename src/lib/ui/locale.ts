import { CalendarDate, startOfWeek } from '@internationalized/date';
import type { WeekStart } from '$lib/core/month';

/** The weekday that weeks begin with where the locale is spoken; Monday where it is none of ours. */
export function localWeekStart(locale: string): WeekStart {
	const start = startOfWeek(new CalendarDate(2023, 1, 4), locale)
		.toDate('UTC')
		.getUTCDay();
	return start === 0 ? 'sunday' : start === 6 ? 'saturday' : 'monday';
}

/** Languages offered for the names on pages; the names themselves come from the platform. */
export const languageTags: readonly string[] = [
	'cs',
	'da',
	'de',
	'el',
	'en-GB',
	'en-US',
	'es',
	'et',
	'fi',
	'fr',
	'ga',
	'hr',
	'hu',
	'is',
	'it',
	'ja',
	'ko',
	'lt',
	'lv',
	'nb',
	'nl',
	'pl',
	'pt',
	'pt-BR',
	'ro',
	'ru',
	'sk',
	'sl',
	'sv',
	'tr',
	'uk',
	'vi'
];
