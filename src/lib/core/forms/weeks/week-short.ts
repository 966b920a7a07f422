import { daysOfWeek } from './week';
import { weekForm } from './week-form';

const gap = 1;
const leastBox = 4;

/**
 * The days of a short week that belong to the month, one below the other in equal boxes on a page of their own: without a
 * head on 28 × 40 one of 28 × 40, two of 28 × 19, three of 28 × 12. (Common practice.)
 */
export const weekShort = weekForm({
	id: 'week-short',
	name: 'Days of a short week',
	spans: ['page'],
	wholePage: true,
	noSpare: true,
	rules: [],
	grids: (setting, { pages: [there] }) => {
		const days = daysOfWeek(setting);
		const count = setting.part?.short ? days.filter(({ inMonth }) => inMonth).length : days.length;
		const h = Math.floor((there.h - (count - 1) * gap) / count);
		if (h < leastBox || there.w < leastBox) return [];
		const used = count * h + (count - 1) * gap;
		return [
			{
				places: Array.from({ length: count }, (_, row) => [
					{ on: 0, x: there.x, y: there.y + row * (h + gap), w: there.w, h }
				]),
				allRows: true,
				discomfort: 0,
				facts: { cell: { w: there.w, h }, rows: count, gap },
				why: [
					`${count} × ${h}${count > 1 ? ` + ${count - 1} × ${gap}` : ''} = ${used} of ${there.h} down`
				]
			}
		];
	}
});
