import { cellDiscomfort } from '../form/form';
import type { WeekPlace } from './week';
import { weekForm } from './week-form';

const rows = 8;
const narrowest = 6;

/** A week in eight rows of floor(H / 8), on one page or across both of a spread: seven days and a spare one. (Common practice.) */
export const weekRows = weekForm({
	id: 'week-rows',
	name: 'Week in rows',
	spans: ['page', 'spread'],
	rules: [],
	grids: (_, { pages }) => {
		const [first, second] = pages;
		const there = Math.min(...pages.map(({ h }) => h));
		const most = Math.floor(there / rows);
		return [...new Set([most, 3])]
			.filter((h) => h >= 1 && h <= most && first.w >= narrowest)
			.map((h) => ({
				places: Array.from({ length: rows }, (_, row): WeekPlace => {
					const left = { on: 0, x: first.x, y: first.y + row * h, w: first.w, h } as const;
					if (!second) return [left];
					return [left, { ...left, on: 1, x: second.x, w: second.w }];
				}),
				discomfort: cellDiscomfort(h + 1),
				facts: {
					rows,
					cell: { w: first.w + (second?.w ?? 0), h },
					over: there - rows * h
				},
				why: [`8 × ${h} = ${rows * h} of ${there} down, ${there - rows * h} over`]
			}));
	}
});
