import { subjectKey, type FieldMark } from '../../draw';
import { kindOf, type Plan, type Run } from '../../fit';
import { pageFields } from '../../page';
import { allWishes, type Wish } from '../../wish';

/** Something of a month that is filled in: a wish with all its fields, each subject once, in the order of the pages. */
export interface Tracker {
	readonly wish: Wish;
	readonly name: string;
	readonly fields: readonly FieldMark[];
	/** Pages that it stands on. */
	readonly pages: readonly number[];
}

/** Everything of a month that is filled in, in the order of the wishes, members after their hosts. */
export function trackersOf(plan: Plan, run: Run): Tracker[] {
	const found = new Map<string, { fields: Map<string, FieldMark>; pages: Set<number> }>();
	for (const { number } of run.pages)
		for (const { wish, field } of pageFields(plan, run, number)) {
			const known = found.get(wish) ?? { fields: new Map(), pages: new Set() };
			found.set(wish, known);
			const key = subjectKey(field.about);
			if (!known.fields.has(key)) known.fields.set(key, field);
			known.pages.add(number);
		}
	const drawn = plan.drawn?.blocks.map(({ wish }) => wish) ?? [];
	const wishes = new Map([...drawn, ...allWishes(plan.wishes)].map((wish) => [wish.id, wish]));
	return [...wishes].flatMap(([id, wish]) => {
		const known = found.get(id);
		if (!known) return [];
		const name = wish.title || kindOf(wish).name;
		return [{ wish, name, fields: inOrder([...known.fields.values()]), pages: [...known.pages] }];
	});
}

/**
 * Fields with those of days, and those of weeks, in the order of time: pages have them in the order in which they lie there,
 * and of a calendar over the fold that is the left half of all weeks first.
 */
function inOrder(fields: readonly FieldMark[]): FieldMark[] {
	const isOfDay = ({ about }: FieldMark) => about.day !== undefined;
	const isOfWeek = ({ about }: FieldMark) => about.day === undefined && about.week !== undefined;
	const days = fields
		.filter(isOfDay)
		.sort((a, b) => (a.about.day ?? 0) - (b.about.day ?? 0))
		.values();
	const weeks = fields
		.filter(isOfWeek)
		.sort((a, b) => (a.about.week ?? 0) - (b.about.week ?? 0))
		.values();
	return fields.map(
		(field) =>
			(isOfDay(field) ? days.next().value : isOfWeek(field) ? weeks.next().value : field) ?? field
	);
}

/** Names of what a tracker keeps apart, in their order; one without a name where it keeps one thing. */
export function itemsIn({ fields }: Pick<Tracker, 'fields'>): (string | undefined)[] {
	return [...new Set(fields.map(({ about }) => about.item))];
}
