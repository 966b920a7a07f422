import type { Wish } from '../wish';
import { begin, idGiver } from './begin';
import { kindById } from './kinds';

/** Kinds of a first month, in the order in which people set a month up. */
const starting = ['cover', 'month-calendar', 'habits', 'mood', 'weekly-pages', 'brain-dump'];

/** Wishes to begin with, for someone who has no month yet. */
export function startingSet(): Wish[] {
	const freeId = idGiver([]);
	return starting.flatMap((id): Wish[] => {
		const kind = kindById(id);
		return kind ? [begin(kind, freeId)] : [];
	});
}
