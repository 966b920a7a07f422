import { formById, type Form, type WeekPart } from '../../forms';
import type { Weeks, Wish } from '../../wish';
import { firstDayOfWeek, monthShape, weeklySet, type SetWeek } from '../../month';
import { formsOf, isFiller, kindOf, spansOf } from './choices';
import type { Plan, Run } from '../plan/plan';

/** One block that a wish asks for: most ask for one, weekly pages for one or more a week. */
export interface Part {
	/** The wish as this part is ruled: with the week it is for. */
	readonly wish: Wish;
	/** It moves freely inside its stretch and fills what is left. */
	readonly filler: boolean;
	/** "week 22", or nothing where the wish has only this part. */
	readonly label?: string;
	/**
	 * Days that a short week lacks: among parts of equal importance those that lack most go first. As if it lacked one, goes
	 * what has its page only from what it must face, before what a person has put there.
	 */
	readonly lacking: number;
}

/** Parts of a wish in the order in which they stand; one for each week and page of weekly pages. */
export function partsOf(plan: Plan, wish: Wish): Part[] {
	const { weeks, ...whole } = wish;
	if (!weeks) return [{ wish: whole, filler: isFiller(plan, wish), lacking: 0 }];
	const showing = showsDays(wish);
	return weeksOf(plan, wish, weeks).flatMap(({ week, days, short, folded }): Part[] => {
		// A page of one's own is the same in a short week.
		const pages = short && showing ? 1 : weeks.pagesPerWeek;
		const chosen = weeks.forms?.find((other) => other.week === week)?.form;
		const form = chosen ?? wish.form;
		const usual = formForWeek({ ...whole, form }, chosen ? pages : weeks.pagesPerWeek);
		const ruled: Wish =
			short && showing && !chosen ? asShort(whole, usual) : { ...whole, form: usual };
		const label = weekLabel(week);
		return Array.from({ length: pages === 4 ? 4 : 1 }, (_, page) => ({
			wish: inWeek(
				{ ...ruled, span: pages === 2 ? 'spread' : 'page' },
				{ week, page: page + 1, folded, ...(short && showing ? { short } : {}) }
			),
			filler: false,
			label,
			lacking: short ? 7 - days : 0
		}));
	});
}

export const weekLabel = (week: number) => `week ${week} of the month`;

/** Whether a set shows the days of its weeks; else it is a page of one's own that comes every week. */
const showsDays = (wish: Wish) => kindOf(wish).start.weeks !== undefined;

/** The weeks that a set is for: by its rule, or those of them that are chosen, without those whose days the book shows already. */
export function weeksOf(
	{ month, weekStart, earlierWeeks }: Plan,
	wish: Wish,
	weeks: Weeks
): SetWeek[] {
	const shape = monthShape(month, weekStart);
	const earlier = showsDays(wish) ? earlierWeeks : [];
	return weeklySet(shape, weeks.belong, weeks.short, earlier).filter(
		({ week }) => weeks.only?.includes(week) ?? true
	);
}

/** Weeks that were chosen one by one and are not in the set, each with the reason. */
export function weeksMissed(
	{ month, weekStart, earlierWeeks = [] }: Plan,
	wish: Wish,
	{ belong, short, only = [] }: Weeks
): { readonly week: number; readonly reason: string }[] {
	const shape = monthShape(month, weekStart);
	const earlier = showsDays(wish) ? earlierWeeks : [];
	const set = weeklySet(shape, belong, short, earlier);
	const reasonOf = (week: number): string | undefined => {
		if (set.some((other) => other.week === week)) return undefined;
		if (week > shape.weeks) return `the month has only ${shape.weeks} weeks`;
		if (earlier.includes(firstDayOfWeek(shape, week))) return 'the month before shows it already';
		if (belong !== 'touching') return 'by the rule of the set it belongs to another month';
		return short === 'fold'
			? 'it is short, and its days are written in the week beside it'
			: 'it is short, and short weeks are left out';
	};
	return only.flatMap((week) => {
		const reason = reasonOf(week);
		return reason ? [{ week, reason }] : [];
	});
}

/** First days of the weeks that a run shows whole, all seven days. */
export function weeksShown({ month, weekStart, wishes }: Plan, { blocks }: Run): string[] {
	const shape = monthShape(month, weekStart);
	const sets = new Set(wishes.filter((wish) => wish.weeks && showsDays(wish)).map(({ id }) => id));
	const rows = blocks.flatMap(({ wish, as: { part } }) =>
		part && !part.short && sets.has(wish) ? [part.week] : []
	);
	return [...new Set(rows)].map((row) => firstDayOfWeek(shape, row));
}

/** Pages a week that a form can be on: as many as wanted, or those that it needs. */
export function pagesFor(form: string, wanted: Weeks['pagesPerWeek']): Weeks['pagesPerWeek'] {
	if (form === fourPages) return 4;
	const spans = formById(form)?.spans ?? [];
	if (wanted === 1 && spans.includes('page')) return 1;
	return spans.includes('spread') ? 2 : 1;
}

/** A wish and its members as they are for a week: the same every week. */
function inWeek(wish: Wish, part: WeekPart): Wish {
	const { members } = wish;
	return {
		...wish,
		part,
		...(members ? { members: members.map((one) => inWeek(one, part)) } : {})
	};
}

/**
 * A short week's page: its days one below the other, with what is said of the others as far as it has a place there.
 * Nothing else joins it but what stands at the foot.
 */
function asShort(wish: Wish, usual: string | undefined): Wish {
	const said = Object.entries(wish.rules?.[usual ?? ''] ?? {}).filter(([name]) =>
		formById(shortWeek)?.rules.some((rule) => rule.name === name)
	);
	const rules = Object.fromEntries(said);
	const { members, ...alone } = wish;
	const kept = members?.filter(({ room }) => rules.foot && (!room || room.startsWith('foot')));
	return {
		...alone,
		form: shortWeek,
		rules: { ...wish.rules, [shortWeek]: rules },
		...(kept && kept.length > 0 ? { members: kept } : {})
	};
}

const shortWeek = 'week-short';

/** Forms that take four pages a week, each with a part of it. */
export const fourPages = 'week-halves';

/** The form for a week on so many pages: the one that is asked for, or the first that can. */
function formForWeek(wish: Wish, pages: 1 | 2 | 4): string | undefined {
	const suits = (form: Form) =>
		pages === 4
			? form.id === fourPages
			: form.id !== fourPages &&
				spansOf({ ...wish, span: undefined }, form).includes(pages === 2 ? 'spread' : 'page');
	if (wish.form) return wish.form;
	return formsOf(wish).find(suits)?.id;
}
