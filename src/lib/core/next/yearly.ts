import { kindOf } from '../fit';
import { formById } from '../forms';
import { daysIn, type YearMonth } from '../month';
import { allWishes, withChanged, type Wish } from '../wish';

/** Something that comes every year on the same day, such as a birthday. */
export interface Yearly {
	/** From 1 on. */
	readonly month: number;
	readonly day: number;
	readonly text: string;
}

/** Kinds whose events are looked at first. */
const first = ['month-calendar', 'events'];

/**
 * Wishes of a month with what comes every year in it among their events: in the calendar, else on the page of events, else
 * in whatever else takes events; what stands there already is not written twice. 29 February comes on the 28th in other years.
 */
export function withYearly(
	wishes: readonly Wish[],
	yearly: readonly Yearly[],
	month: YearMonth
): readonly Wish[] {
	const due = yearly
		.filter((one) => one.month === month.month)
		.map(({ day, text }) => ({ day: Math.min(day, daysIn(month)), text }));
	const able = allWishes(wishes).filter((wish) =>
		kindOf(wish).forms.some((id) => formById(id)?.content.includes('events'))
	);
	const place = first.flatMap((kind) => able.filter((wish) => wish.kind === kind))[0] ?? able[0];
	if (due.length === 0 || !place) return wishes;
	return withChanged(wishes, place.id, (wish) => {
		const there = wish.events ?? [];
		const missing = due.filter(
			({ day, text }) => !there.some((event) => event.day === day && event.text === text)
		);
		return { ...wish, events: [...there, ...missing].sort((a, b) => a.day - b.day) };
	});
}
