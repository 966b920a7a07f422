import { subjectKey, subjectOf } from '../../draw';
import { allWishes, type Wish } from '../../wish';

/** A name of an item, or of a column, that was changed: records go along with it. */
export interface Renamed {
	readonly wish: string;
	readonly part: 'item' | 'column';
	readonly from: string;
	readonly to: string;
}

/**
 * Names that were changed from one state of a month's wishes to the next: in a list that stayed as long, what stands in the
 * place of a name that is gone is that name's new one.
 */
export function renamedIn(before: readonly Wish[], after: readonly Wish[]): Renamed[] {
	const old = new Map(allWishes(before).map((wish) => [wish.id, wish]));
	return allWishes(after).flatMap((wish) => {
		const was = old.get(wish.id);
		if (!was) return [];
		return [
			...changed(wish.id, 'item', was.items ?? [], wish.items ?? []),
			...changed(wish.id, 'column', was.columns ?? [], wish.columns ?? []),
			...changed(wish.id, 'item', named(was.parts), named(wish.parts))
		];
	});
}

interface Named {
	readonly name: string;
}

const named = (names: readonly string[] = []): Named[] => names.map((name) => ({ name }));

function changed(
	wish: string,
	part: Renamed['part'],
	before: readonly Named[],
	after: readonly Named[]
): Renamed[] {
	if (before.length !== after.length) return [];
	const [old, now] = [before, after].map((list) => new Set(list.map(({ name }) => name)));
	return before.flatMap(({ name: from }, at) => {
		const to = after[at]?.name ?? from;
		return from !== to && !now?.has(from) && !old?.has(to) ? [{ wish, part, from, to }] : [];
	});
}

/** What an entry is about once a name has changed; undefined where it is not about it. */
export function renamedAbout(about: string, { part, from, to }: Renamed): string | undefined {
	const subject = subjectOf(about);
	if (subject?.[part] === from) return subjectKey({ ...subject, [part]: to });
	// A column of values by day is what its entries are about.
	return part === 'column' && subject?.item === from && subject.column === undefined
		? subjectKey({ ...subject, item: to })
		: undefined;
}
