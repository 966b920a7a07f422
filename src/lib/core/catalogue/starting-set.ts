import type { Wish } from '../wish';
import { kindById } from './kinds';

/** Kinds of a first month, in the order in which people set a month up. */
const starting = ['cover', 'month-calendar', 'habits', 'brain-dump'];

/** Wishes to begin with, for someone who has no month yet. */
export function startingSet(): Wish[] {
	return starting.flatMap((id): Wish[] => {
		const kind = kindById(id);
		return kind ? [{ ...kind.start, id, kind: id }] : [];
	});
}
