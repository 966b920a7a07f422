import { titleStyle, undated, weekOfMonth } from './common-rules';
import { frame } from '../draw';
import { cellDiscomfort, pageForm } from './form';
import { rowLines, titleSum } from './rows';
import { titleMarks, titleRows } from './title-band';
import { daysOfWeek, dayHeading, spareHeading, weekNumberOf } from './week';

const rows = 8;

/** A week in eight rows of floor(H / 8): seven days and a spare one for the week's number and notes. */
export const weekRows = pageForm({
	id: 'week-rows',
	name: 'Week in rows',
	content: ['title'],
	rules: [titleStyle, weekOfMonth, undated],
	layouts: (setting, there) => {
		const top = titleRows(setting);
		const most = Math.floor((there.h - top) / rows);
		return [...new Set([most, 3])]
			.filter((height) => height >= 1 && height <= most && there.w >= 6)
			.map((height) => {
				const size = { w: there.w, h: top + rows * height };
				return {
					size,
					discomfort: cellDiscomfort(height + 1),
					facts: {
						rows,
						cell: { w: there.w, h: height },
						title: top,
						week: weekNumberOf(setting),
						over: there.h - size.h
					},
					why: [
						`${titleSum(top)}8 × ${height} = ${size.h} of ${there.h} down, ${there.h - size.h} over`
					],
					marks: () => {
						const box = (row: number) => ({ x: 0, y: top + row * height, w: size.w, h: height });
						return [
							...titleMarks(setting, size.w, false),
							...daysOfWeek(setting).map((day, row) => dayHeading(setting, day, box(row))),
							...spareHeading(setting, box(7)),
							...frame({ x: 0, y: top, w: size.w, h: rows * height }),
							...rowLines({ x: 0, y: top, w: size.w, h: 0 }, height, rows)
						];
					}
				};
			});
	}
});
