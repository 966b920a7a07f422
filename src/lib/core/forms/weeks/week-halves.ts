import { numberRule } from '../form/rule';
import { weekForm } from './week-form';

const gap = 1;
const places = 8;

const pageOfWeek = numberRule({
	name: 'page',
	label: 'Page of the week',
	least: 1,
	most: 4,
	chosen: () => 1
});

/**
 * Half a page a day, so four pages a week; this is one page of them. The eighth half is spare. (Common practice.)
 */
export const weekHalves = weekForm({
	id: 'week-halves',
	name: 'Half a page a day',
	spans: ['page'],
	wholePage: true,
	rules: [pageOfWeek],
	grids: (setting, { pages: [there] }) => {
		const h = Math.floor((there.h - gap) / 2);
		if (h < 8 || there.w < 6) return [];
		const page = Math.min(4, Math.max(1, setting.part?.page ?? pageOfWeek.of(setting) ?? 1));
		return [
			{
				places: [0, 1].map((row) => [
					{ on: 0, x: there.x, y: there.y + row * (h + gap), w: there.w, h }
				]),
				part: { of: places, from: 2 * (page - 1) },
				discomfort: h >= 14 ? 0 : 15,
				facts: { cell: { w: there.w, h }, rows: 2, gap, across: page },
				why: [
					`2 × ${h} + gap ${gap} = ${2 * h + gap} of ${there.h} down; page ${page} of 4 of the week`
				]
			}
		];
	}
});
