import { contentNames, type ContentName } from '../../forms';
import { allWishes, sameContent, type Wish } from '../../wish';
import { formById } from '../../forms';
import { kindOf, settingOf } from './choices';
import type { Block, Plan, Run } from '../plan/plan';

/** Something that was written for a wish and stands nowhere on its pages. */
export interface Unread {
	readonly wish: string;
	readonly field: ContentName;
	readonly says: string;
}

/** What of a run's wishes is written nowhere: for each such field the same marks come out if other words stand in it. */
export function unreadIn(plan: Plan, run: Run): Unread[] {
	return allWishes(plan.wishes).flatMap(({ id }) => {
		const blocks = run.blocks.filter(({ wish }) => wish === id);
		return unreadOf(plan, id, blocks);
	});
}

/** The same of one wish, in all of its blocks. */
export function unreadOf(plan: Plan, id: string, blocks: readonly Block[]): Unread[] {
	const wish = allWishes(plan.wishes).find((one) => one.id === id);
	const [first] = blocks;
	if (!wish || !first) return [];
	const start = kindOf(wish).start;
	return contentNames.flatMap((field): Unread[] => {
		const value = wish[field];
		const empty = value === undefined || value === '' || (Array.isArray(value) && !value.length);
		if (empty || sameContent(value, start[field])) return [];
		if (blocks.some((block) => isRead(plan, block, field))) return [];
		const form = formById(first.form)?.name ?? first.form;
		return [{ wish: id, field, says: `${words[field]} stand nowhere in the layout “${form}”` }];
	});
}

const words: Readonly<Record<ContentName, string>> = {
	title: 'the title’s letters',
	text: 'the words',
	unit: 'the unit’s letters',
	items: 'the names',
	note: 'the words of the note',
	columns: 'the columns',
	parts: 'the parts',
	levels: 'the levels',
	goals: 'the goals',
	goalHours: 'the hours for goals',
	limit: 'the figures of the limit',
	events: 'the events'
};

function isRead(plan: Plan, { as, form: id, room }: Block, field: ContentName): boolean {
	const form = formById(id);
	if (!form || as[field] === undefined) return true;
	const drawn = (wish: Wish) => {
		const [layout] = form.layouts(settingOf(plan, wish, form), room);
		return layout && JSON.stringify([layout.marks(), layout.facts, layout.why]);
	};
	return drawn(as) !== drawn({ ...as, [field]: otherwise(as[field]) });
}

/** The same with other letters in each of its texts: as many of them, so that nothing else changes. */
function otherwise(value: unknown): unknown {
	if (typeof value === 'string')
		return value.replace(/[^\s]/gu, (sign) => (sign === 'x' ? 'z' : 'x'));
	if (typeof value === 'number') return value + 1;
	if (Array.isArray(value)) return value.map(otherwise);
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(
		Object.entries(value).map(([name, part]) => [
			name,
			texts.includes(name) ? otherwise(part) : part
		])
	);
}

/** Parts of content that are written on a page, as they are. */
const texts = ['name', 'short', 'symbol', 'group', 'text'];
