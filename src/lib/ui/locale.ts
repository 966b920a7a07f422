import { CalendarDate, startOfWeek } from '@internationalized/date';
import type { WeekStart } from '$lib/core/month';

/** The weekday that weeks begin with where the locale is spoken; Monday where it is none of ours. */
export function localWeekStart(locale: string): WeekStart {
	const start = startOfWeek(new CalendarDate(2023, 1, 4), locale)
		.toDate('UTC')
		.getUTCDay();
	return start === 0 ? 'sunday' : start === 6 ? 'saturday' : 'monday';
}
