import { formById, type Form, type WeekPart } from '../forms';
import type { Wish } from '../wish';
import { monthShape, weeklySet } from '../month';
import { formsOf, isFiller, spansOf } from './choices';
import type { Plan } from './plan';

/** One block that a wish asks for: most ask for one, weekly pages for one or more a week. */
export interface Part {
	/** The wish as this part is ruled: with the week it is for. */
	readonly wish: Wish;
	/** Forms it may take; undefined for those of its wish. */
	readonly filler: boolean;
	/** "week 22", or nothing where the wish has only this part. */
	readonly label?: string;
}

/** Parts of a wish in the order in which they stand; one for each week and page of weekly pages. */
export function partsOf(plan: Plan, wish: Wish): Part[] {
	const { weeks, ...whole } = wish;
	if (!weeks) return [{ wish: whole, filler: isFiller(wish) }];
	// Weeks have no rooms.
	const { members: _, ...one } = whole;
	const shape = monthShape(plan.month, plan.weekStart);
	return weeklySet(shape, weeks.belong, weeks.short).flatMap(({ week, short, folded }): Part[] => {
		const pages = short ? 1 : weeks.pagesPerWeek;
		const chosen = weeks.forms?.find((other) => other.week === week)?.form;
		const form = formForWeek({ ...one, form: chosen ?? one.form }, pages);
		const ruled: Wish = { ...one, form, span: pages === 2 ? 'spread' : 'page' };
		const part = (page: number): WeekPart => ({ week, page, folded });
		const label = `week ${week} of the month`;
		if (pages < 4) return [{ wish: { ...ruled, part: part(1) }, filler: false, label }];
		return [1, 2, 3, 4].map((page) => ({
			wish: { ...ruled, part: part(page) },
			filler: false,
			label
		}));
	});
}

/** Forms that take four pages a week, each with a part of it. */
export const fourPages = 'week-halves';

/** The form for a week on so many pages: the one asked for where it can, or else the first that can. */
function formForWeek(wish: Wish, pages: 1 | 2 | 4): string | undefined {
	const suits = (form: Form) =>
		pages === 4
			? form.id === fourPages
			: form.id !== fourPages &&
				spansOf({ ...wish, span: undefined }, form).includes(pages === 2 ? 'spread' : 'page');
	const asked = formById(wish.form ?? '');
	if (asked && suits(asked)) return asked.id;
	return formsOf({ ...wish, form: undefined }).find(suits)?.id ?? wish.form;
}
