import { undated, weekOfMonth } from './common-rules';
import { numberRule } from './rule';
import { frame } from '../draw';
import { pageForm } from './form';
import { daysOfWeek, dayHeading, spareHeading, weekNumberOf } from './week';

const gap = 1;

const pageOfWeek = numberRule({
	name: 'page',
	label: 'Page of the week',
	least: 1,
	most: 4,
	chosen: () => 1
});

/**
 * Half a page a day, so four pages a week; this is one page of them: `across` says which of the
 * four, from 1. The eighth half is spare. (Common practice.)
 */
export const weekHalves = pageForm({
	id: 'week-halves',
	name: 'Half a page a day',
	wholePage: true,
	content: [],
	rules: [weekOfMonth, pageOfWeek, undated],
	layouts: (setting, there) => {
		const h = Math.floor((there.h - gap) / 2);
		if (h < 8 || there.w < 6) return [];
		const part = Math.min(4, Math.max(1, setting.part?.page ?? pageOfWeek.of(setting) ?? 1));
		const size = { w: there.w, h: 2 * h + gap };
		return [
			{
				size,
				discomfort: h >= 14 ? 0 : 15,
				facts: { cell: { w: there.w, h }, rows: 2, gap, across: part, week: weekNumberOf(setting) },
				why: [
					`2 × ${h} + gap ${gap} = ${size.h} of ${there.h} down; page ${part} of 4 of the week`
				],
				marks: () => {
					const days = daysOfWeek(setting);
					return [0, 1].flatMap((row) => {
						const box = { x: 0, y: row * (h + gap), w: size.w, h };
						const day = days[2 * (part - 1) + row];
						return [
							...(day ? [dayHeading(setting, day, box)] : spareHeading(setting, box)),
							...frame(box)
						];
					});
				}
			}
		];
	}
});
