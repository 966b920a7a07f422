import { formById } from '$lib/core/forms';
import type { SimplerWay } from '$lib/core/making';
import type { Wish } from '$lib/core/wish';
import { nameOf } from '../month/block-name';

/** A way to make a month shorter to draw, in words: “Habits as strips”. */
export function wayWords(way: SimplerWay, wishes: readonly Wish[]): string {
	if (way.kind === 'titles')
		return way.titles === 'written' ? 'Write all titles' : 'Leave all titles out';
	const wish = wishes.find(({ id }) => id === way.wish);
	const name = wish ? nameOf(wish) : way.wish;
	if (way.kind === 'paste') return `${name}: print and paste it in`;
	return `${name} as ${formById(way.form)?.name.toLowerCase() ?? way.form}`;
}
