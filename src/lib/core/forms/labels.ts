import { flagRule } from './rule';
import { letters, textWidth } from '../hand';
import type { Setting } from './form';
import type { Item } from './content';

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
			showGoals.of(setting) && item.goal ? { ...item, name: `${item.name} ${item.goal}×` } : item
		);
}

/** A set of labels for all items, the squares the longest takes, and what it costs in comfort. */
export interface Labels {
	readonly labels: readonly string[];
	readonly width: number;
	readonly discomfort: number;
	readonly what: 'names' | 'short forms' | 'symbols';
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
	all.push(make('symbols', 30, (item) => item.symbol ?? letters(item.name)[0] ?? '·'));
	return all.filter(
		(labels, index) =>
			index === 0 || labels.width < Math.min(...all.slice(0, index).map(({ width }) => width))
	);
}
