import type { Item } from '$lib/core/forms';
import {
	clockText,
	moneyText,
	rateOf,
	type HabitTally,
	type LeastTold,
	type MoneyTally,
	type NumberTally,
	type Surprise,
	type Tally,
	type Together
} from '$lib/core/records';
import { nth, numberWords } from '../words';

/** “47 %” */
export function percent(share: number): string {
	return `${Math.round(100 * share)} %`;
}

/** “6 h 40 min” */
export function hoursWords(minutes: number): string {
	const whole = Math.round(minutes);
	return `${Math.floor(whole / 60)} h ${whole % 60} min`;
}

/** How something went against the month before. */
export function surpriseWords({ of, name, before, after }: Surprise, last: string): string {
	const words = of === 'rate' ? percent : of === 'length' ? hoursWords : numberWords;
	const way = after > before ? 'up' : 'down';
	return of === 'rate'
		? `${name}: ${words(after)} of the days it was due, ${way} from ${words(before)} in ${last}.`
		: `${name}: ${words(after)} on average, ${way} from ${words(before)} in ${last}.`;
}

const count = (value: number, one: string, many = `${one}s`) =>
	`${value} ${value === 1 ? one : many}`;

/** How a habit went, in a sentence. */
export function habitWords({ name, begins, ends }: Item, tally: HabitTally): string {
	const rate = rateOf(tally);
	if (rate === undefined) return `${name}: ${count(tally.met, 'time')}.`;
	const runs =
		tally.longest > 1 ? ` The longest run was ${count(tally.longest, tally.period)}.` : '';
	const since = begins === undefined ? '' : ` from the ${nth(begins)} on`;
	const until = ends === undefined ? '' : ` until the ${nth(ends)}`;
	return `${name}${since}${until}: ${tally.met} of ${tally.due}, ${percent(rate)}.${runs}`;
}

/** How money stands against a limit, in whole units, and against the month before. */
export function moneyWords(
	limit: number | undefined,
	tally: Tally,
	before: Tally | undefined
): string[] {
	const total = tally.of === 'rows' ? tally.money?.total : undefined;
	const earlier = before?.of === 'rows' ? before.money?.total : undefined;
	if (total === undefined) return [];
	const left = limit === undefined ? undefined : 100 * limit - total;
	const more = earlier === undefined ? undefined : total - earlier;
	return [
		...(left === undefined
			? []
			: [
					left >= 0
						? `${moneyText(left)} of the ${limit} that were meant are left.`
						: `${moneyText(-left)} more than the ${limit} that were meant.`
				]),
		...(more === undefined
			? []
			: [
					more === 0
						? 'As much as in the month before.'
						: `${moneyText(Math.abs(more))} ${more > 0 ? 'more' : 'less'} than in the month before.`
				])
	];
}

/** What a tally says, in a sentence or two; nothing where nothing was kept. */
export function tallyWords(tally: Tally, locale: string): string[] {
	switch (tally.of) {
		case 'marks':
			return tally.rows.map(({ item, tally: own }) => habitWords(item, own));
		case 'levels': {
			const counts = tally.levels.map(
				(_, at) => [...tally.days.values()].filter((level) => level === at + 1).length
			);
			const most = counts.indexOf(Math.max(...counts));
			if (tally.days.size === 0) return [];
			return [
				`${count(tally.days.size, 'day')} kept; most were “${tally.levels[most] ?? most + 1}” (${counts[most]}).`
			];
		}
		case 'times':
			if (tally.length === undefined) return [];
			return [
				`${count(tally.nights.size, 'night')} of ${hoursWords(tally.length)} on average.`,
				...(tally.from && tally.to ? [fromTo(tally.from, tally.to)] : [])
			];
		case 'numbers':
			return tally.rows.flatMap(({ item, tally: own }) => (own ? [numberSentence(item, own)] : []));
		case 'rows':
			return [
				`${tally.used} of ${count(tally.ruled, 'row')} used${tally.ranOut === undefined ? '' : `; it ran out on the ${nth(tally.ranOut)}`}.`,
				...(tally.money ? [sumSentence(tally.money, locale)] : []),
				...tally.columns
					.filter(({ width, needed }) => needed > width)
					.map(
						({ name, width, needed }) =>
							`“${name}” is ${width} squares wide; ${needed} would hold 95 of 100 entries.`
					)
			];
		case 'texts':
			return tally.filled === 0
				? []
				: [`${tally.filled} of ${count(tally.places, 'place')} written in.`];
		case 'room':
			return tally.full.length === 0
				? []
				: [`${tally.full.map((full) => fullWords[full]).join(', ')}.`];
	}
}

/** How numbers went; that they rise or fall is told only where it is beyond what chance makes of it. */
function numberSentence(item: string | undefined, own: NumberTally): string {
	const { weekly, weeklyError = Infinity } = own;
	const slope =
		weekly !== undefined && Math.abs(weekly) > weeklyError
			? `, ${weekly > 0 ? 'rising' : 'falling'} by ${numberWords(rounded(Math.abs(weekly)))} a week`
			: '';
	const next = own.next === undefined ? '' : ` A fifth above it: ${numberWords(own.next)}.`;
	return `${item ? `${item}: ` : ''}${numberWords(rounded(own.mean))} on average over ${count(own.count, 'day')}, between ${numberWords(own.least)} and ${numberWords(own.most)}${slope}.${next}`;
}

/** What a table's sums come to, and the largest part of them. */
function sumSentence({ total, against, byCategory }: MoneyTally, locale: string): string {
	const [category, most = 0] = byCategory[0] ?? [];
	const part = 2 * most > total ? 'most of it' : 'the largest part';
	const other = against === 0 ? '' : ` ${money(against, locale)} went the other way.`;
	return `${money(total, locale)} in all, ${part} for ${category || 'other things'} (${money(most, locale)}).${other}`;
}

/** A number as far as it says something: whole from a hundred on, else to a tenth. */
const rounded = (value: number) => (value >= 100 ? Math.round(value) : Math.round(value * 10) / 10);

/** Times spread wider than this, in minutes, have no usual one. */
const wide = 180;

type Mean = { readonly mean: number; readonly spread: number };

function fromTo(from: Mean, to: Mean): string {
	if (from.spread > wide) return 'At no usual time: it began at all hours of the day.';
	return `From ${clockText(from.mean)} (give or take ${hoursWords(from.spread)}) to ${clockText(to.mean)} (give or take ${hoursWords(to.spread)}).`;
}

/** How full something became. */
export const fullWords = {
	empty: 'stayed empty',
	quarter: 'a quarter full',
	half: 'half full',
	full: 'full',
	over: 'ran over'
} as const;

/** Money in the person's language, without a sign of the currency. */
export function money(minor: number, locale: string): string {
	return new Intl.NumberFormat(locale, { minimumFractionDigits: 2 }).format(
		Number(moneyText(minor))
	);
}

/** Totals of a tracker in as few letters as one copies by hand. */
export function totalWords(name: string, tally: Tally, locale: string): string[] {
	switch (tally.of) {
		case 'marks':
			return tally.rows.map(({ item, tally: { met, due } }) =>
				due === undefined ? `${item.name}: ${met}` : `${item.name}: ${met} / ${due}`
			);
		case 'levels':
			return tally.levels.map((level, at) => {
				const days = [...tally.days.values()].filter((found) => found === at + 1).length;
				return `${level}: ${days}`;
			});
		case 'times':
			return tally.length === undefined ? [] : [`${name}: ${hoursWords(tally.length)}`];
		case 'numbers':
			return tally.rows.flatMap(({ item, tally: own }) =>
				own ? [`${item ?? name}: ${numberWords(rounded(own.mean))}`] : []
			);
		case 'rows':
			return tally.money ? [`${name}: ${money(tally.money.total, locale)}`] : [];
		default:
			return [];
	}
}

/** What went with what, in a sentence: states by their names, none of which is higher than another. */
export function togetherWords({ habit, measure, pairing }: Together): string {
	const { name, levels, unit } = measure;
	const days = pairing.on + pairing.off;
	const far = pairing.difference > 0 ? levels?.at(-1) : levels?.[0];
	const how = far
		? `${name} was nearer to “${far}” on days with it`
		: `${name} was ${amount(Math.abs(pairing.difference), unit)} ${pairing.difference > 0 ? 'more' : 'less'} on days with it`;
	return `“${habit}” and ${name} went together in these ${days} days: ${how}. That says nothing about why.`;
}

/** The smallest differences that would have been told: what is smaller may be there all the same. */
export function leastWords(
	least: readonly LeastTold[],
	unitOf: (measure: string) => string | undefined
): string {
	const each = least.map(
		({ measure, difference }) => `${amount(difference, unitOf(measure))} of ${measure}`
	);
	return `The smallest difference that would have been told: ${each.join(', ')}.`;
}

const amount = (value: number, unit: string | undefined) =>
	`${numberWords(value >= 100 ? Math.round(value) : Number(value.toPrecision(2)))}${unit ? ` ${unit}` : ''}`;
