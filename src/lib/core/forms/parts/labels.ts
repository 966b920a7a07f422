import { flagRule } from '../form/rule';
import { letters, textWidth } from '../../hand';
import { cellOf } from '../../month';
import type { Setting } from '../form/form';
import type { Item, Rhythm } from '../form/content';

/** Names of habits where a wish has none yet. */
const samples: readonly Item[] = [{ name: 'First' }, { name: 'Second' }, { name: 'Third' }];

/** Whether goals stand beside the names. */
export const showGoals = flagRule({ name: 'showGoals', label: 'goals beside the names' });

/**
 * A wish's items, or a few samples: those of one group together, in the order in which the groups first
 * come, with the goal beside the name where that is asked for.
 */
export function itemsOf(setting: Setting): readonly Item[] {
	const { items: own } = setting.content;
	const items = own && own.length > 0 ? own : samples;
	const groups = [...new Set(items.map(({ group }) => group))];
	return groups
		.flatMap((group) => items.filter((item) => item.group === group))
		.map((item) =>
			showGoals.of(setting) && item.goal ? { ...item, name: `${item.name} ${goalOf(item)}` } : item
		);
}

/** Names of the items as they are kept, in the order of `itemsOf`. */
export function itemNames(setting: Setting): readonly string[] {
	return itemsOf({ ...setting, rules: { ...setting.rules, showGoals: undefined } }).map(
		({ name }) => name
	);
}

/** Items that stand together, under their group's name where they have one. */
export interface Section {
	readonly heading: string | undefined;
	readonly items: readonly Item[];
}

/** The items by group, in the order of `itemsOf`. */
export function sectionsOf(setting: Setting): readonly Section[] {
	const items = itemsOf(setting);
	const headings = [...new Set(items.map(({ group }) => group))];
	return headings.map((heading) => ({
		heading: heading || undefined,
		items: items.filter(({ group }) => group === heading)
	}));
}

/** How often a habit is meant to be done: every day where nothing is said. */
export function rhythmOf({ rhythm = 'daily' }: Item): Rhythm {
	return rhythm;
}

/** Whether a habit has one box a week and none a day. */
export function isWeekly(item: Item): boolean {
	return rhythmOf(item) === 'weekly';
}

/** Row of the month's grid that a day stands in, from 1. */
export function weekOf({ month }: Setting, day: number): number {
	return cellOf(month, day).row + 1;
}

/** Whether a day is the first of its row in the month's grid. */
export function beginsWeek({ month }: Setting, day: number): boolean {
	return cellOf(month, day).column === 0;
}

/** “3×”, or “3–4×” where it is from so many to so many. */
function goalOf({ goal = 0, upTo }: Item): string {
	return upTo !== undefined && upTo > goal ? `${goal}–${upTo}×` : `${goal}×`;
}

/** A set of labels for all items, the squares the longest takes, and what it costs in comfort. */
export interface Labels {
	readonly labels: readonly string[];
	readonly width: number;
	readonly discomfort: number;
	readonly what: 'names' | 'short forms' | 'symbols';
}

/** Each item's symbol, or so many first letters of its name as tell it from all others. */
function signsOf(items: readonly Item[]): ReadonlyMap<Item, string> {
	const signs = (count: number) =>
		items.map(({ name, symbol }) => symbol ?? letters(name).slice(0, count).join('').trim());
	const longest = Math.max(1, ...items.map(({ name }) => letters(name).length));
	const enough = Array.from({ length: longest }, (_, index) => index + 1).find((count) => {
		const all = signs(count);
		return new Set(all).size === all.length;
	});
	const found = signs(enough ?? 1);
	return new Map(items.map((item, index) => [item, found[index] || '·']));
}

/** Ways to label items, the most comfortable first: full names, short forms, one sign each. */
export function labelsOf(setting: Setting): Labels[] {
	const items = itemsOf(setting);
	const make = (what: Labels['what'], discomfort: number, of: (item: Item) => string): Labels => {
		const labels = items.map(of);
		const width = Math.max(1, ...labels.map((label) => textWidth(label, setting.hand)));
		return { labels, width, discomfort, what };
	};
	const all = [make('names', 0, (item) => item.name)];
	if (items.some((item) => item.short))
		all.push(make('short forms', 10, (item) => item.short ?? item.name));
	const signs = signsOf(items);
	all.push(make('symbols', 30, (item) => signs.get(item) ?? '·'));
	return all.filter(
		(labels, index) =>
			index === 0 || labels.width < Math.min(...all.slice(0, index).map(({ width }) => width))
	);
}
