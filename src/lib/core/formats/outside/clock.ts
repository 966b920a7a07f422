import type { YearMonth } from '../../month';

/** A day of the calendar. */
export interface LocalDate extends YearMonth {
	readonly day: number;
}

/** A day and a time on it, "19:30". */
export interface LocalMoment extends LocalDate {
	readonly time: string;
}

const dayMs = 86_400_000;
const minuteMs = 60_000;

/** Days since 1970-01-01. */
export function dayNumber({ year, month, day }: LocalDate): number {
	return Math.round(Date.UTC(year, month - 1, day) / dayMs);
}

/** The day so many days later. */
export function shifted(date: LocalDate, days: number): LocalDate {
	const moved = new Date((dayNumber(date) + days) * dayMs);
	return { year: moved.getUTCFullYear(), month: moved.getUTCMonth() + 1, day: moved.getUTCDate() };
}

/** A clock in a time zone (an IANA name). */
export class Clock {
	private readonly format: Intl.DateTimeFormat;

	/** @throws RangeError when the zone is not known. */
	constructor(timeZone: string) {
		this.format = new Intl.DateTimeFormat('en-GB', {
			timeZone,
			year: 'numeric',
			month: '2-digit',
			day: '2-digit',
			hour: '2-digit',
			minute: '2-digit',
			hourCycle: 'h23'
		});
	}

	/** What the clock shows at a moment. */
	at(moment: Date): LocalMoment {
		const parts = new Map(
			this.format.formatToParts(moment).map(({ type, value }) => [type, value])
		);
		return {
			year: Number(parts.get('year')),
			month: Number(parts.get('month')),
			day: Number(parts.get('day')),
			time: `${parts.get('hour')}:${parts.get('minute')}`
		};
	}

	/** The moment at which the clock shows a time; of a time that is skipped, the one as long after the gap. */
	momentOf(wallMs: number): Date {
		const shown = (moment: number) => {
			const { year, month, day, time } = this.at(new Date(moment));
			const [hour = 0, minute = 0] = time.split(':').map(Number);
			return Date.UTC(year, month - 1, day, hour, minute);
		};
		// Twice: the offset that holds at the guess may not hold at the moment itself.
		// What it shows is told to the minute, so the part of one is set aside: just before midnight is not midnight.
		const wall = Math.floor(wallMs / minuteMs) * minuteMs;
		const first = wall - (shown(wall) - wall);
		return new Date(first - (shown(first) - wall) + (wallMs - wall));
	}
}
