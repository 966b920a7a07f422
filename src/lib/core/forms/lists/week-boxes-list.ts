import { titleStyle } from '../form/common-rules';
import { field, frame, text } from '../../draw';
import { cellDiscomfort, pageForm, type Setting } from '../form/form';
import { rowLines, titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

/** "3–9", the days of a row of the month grid. */
export function datesOfWeek({ month }: Setting, row: number): string {
	const first = Math.max(1, 1 - month.lead + 7 * row);
	const last = Math.min(month.days, 7 - month.lead + 7 * row);
	return first === last ? `${first}` : `${first}–${last}`;
}

/** In less than this a hand writes no sentence. (Common practice.) */
const narrowest = 6;

/**
 * One box a week, each with its dates, under a heading or a question: height floor((H − title) / weeks),
 * at least 2. (Common practice.)
 */
export const weekBoxesList = pageForm({
	id: 'week-boxes-list',
	name: 'A box a week',
	content: ['title'],
	rules: [titleStyle],
	layouts: (setting, there) => {
		const { weeks } = setting.month;
		const top = titleRows(setting);
		if (there.w < narrowest) return [];
		const most = Math.floor((there.h - top) / weeks);
		const heights = [...new Set([most, 4, 3])].filter((height) => height >= 2 && height <= most);
		return heights.map((height) => {
			const size = { w: there.w, h: top + weeks * height };
			return {
				size,
				discomfort: cellDiscomfort(height),
				facts: {
					cell: { w: there.w, h: height },
					rows: weeks,
					weeks,
					title: top,
					over: there.h - size.h
				},
				why: [
					`${titleSum(top)}${weeks} weeks × ${height} = ${size.h} of ${there.h} down, ${there.h - size.h} over`
				],
				marks: () => [
					...titleMarks(setting, size.w, false),
					...frame({ x: 0, y: top, w: size.w, h: weeks * height }),
					...rowLines({ x: 0, y: top, w: size.w, h: 0 }, height, weeks),
					...Array.from({ length: weeks }, (_, row) =>
						text(
							datesOfWeek(setting, row),
							{ x: 0, y: top + row * height, w: Math.min(size.w, 4), h: 1 },
							'figure',
							'start'
						)
					),
					...Array.from({ length: weeks }, (_, row) =>
						field(
							{ x: 0, y: top + row * height + 1, w: size.w, h: height - 1 },
							{ week: row + 1 },
							'full'
						)
					)
				]
			};
		});
	}
});
