import { kindOf, type Plan, type Run } from '../fit';
import { allWishes } from '../wish';

/** Kinds that go on when a book is full, with what is taken along of each. (Common practice.) */
const along: Readonly<Record<string, string>> = {
	index: 'the titles that are still looked up, with the old book’s name',
	goals: 'those that are not reached',
	'goal-timeline': 'those that are not reached, with new days',
	'goals-and-rewards': 'how far each is',
	'task-bank': 'lines without a tick',
	tasks: 'lines without a tick',
	'wish-list': 'lines without a tick',
	'purchases-by-urgency': 'lines without a tick',
	'reading-list': 'what is not read yet',
	'media-log': 'what is waiting',
	favourites: 'those that still are',
	'project-page': 'what is still to be done',
	'topic-to-study': 'what is still to be learned',
	'chores-last-done': 'the last date of each',
	'stock-list': 'what there is now',
	'follower-counts': 'the last number'
};

/** Something of a month that a new book takes over by hand. */
export interface Moving {
	readonly name: string;
	readonly pages: readonly number[];
	readonly takes: string;
}

/** What moving into a new book takes along of the month that was drawn last. */
export function movingAlong(plan: Plan, run: Run): Moving[] {
	return allWishes(plan.wishes).flatMap((wish) => {
		const takes = along[wish.kind];
		const pages = run.blocks.flatMap(({ wish: id, pieces }) =>
			id === wish.id ? pieces.map(({ page }) => page) : []
		);
		if (takes === undefined || pages.length === 0) return [];
		return [{ name: wish.title || kindOf(wish).name, pages: [...new Set(pages)], takes }];
	});
}
