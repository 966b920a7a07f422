import { squareCell, datePlace, titleStyle, weekdayStyle } from '../form/common-rules';
import { ranked, pageSize, type Form, type Layout } from '../form/form';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';
import { weekdayRow, miniMonthMarks, miniMonthSize, squareOf } from './mini-month';

/** Cells of these squares bear a date and a code; larger ones are for pages that are free anyway. */
const usual = 2;

/**
 * One mini calendar: cell c, width 7c, height (weeks + 1)c, + 1 for a title that is written. Cells of 1 square
 * bear a date or a tick, 2 × 2 also a code. Default cells: 2, or 1 where 2 do not fit. (Common
 * practice.)
 */
export const miniCalendar: Form = {
	id: 'mini-calendar',
	name: 'Mini calendar',
	spans: ['page'],
	content: ['title'],
	rules: [titleStyle, squareCell, datePlace, weekdayStyle],
	layouts: (setting, room) => {
		const { month } = setting;
		const wanted = squareCell.of(setting);
		const there = pageSize(room);
		const top = titleRows(setting);
		const sizes = wanted ? [wanted] : [2, 1, 4, 3];
		const layouts = sizes.flatMap((c): Layout[] => {
			const days = miniMonthSize(setting, squareOf(c));
			const size = { w: days.w, h: top + days.h };
			if (size.w > there.w || size.h > there.h) return [];
			return [
				{
					room: { span: 'page', ...size },
					discomfort: c === 1 ? 10 : 0,
					stretches: false,
					generous: wanted === undefined && c > usual,
					facts: {
						cell: { w: c, h: c },
						rows: month.weeks,
						days: month.days,
						weeks: month.weeks,
						lead: month.lead,
						title: top
					},
					why: [
						`7 × ${c} = ${size.w} across`,
						`${titleSum(top)}(${weekdayRow(setting) > 0 ? 'weekdays 1 + ' : ''}${month.weeks} weeks) × ${c} = ${size.h} down`
					],
					marks: () => [
						[
							...titleMarks(setting, size.w, false),
							...miniMonthMarks(setting, squareOf(c), { x: 0, y: top }, undefined, {})
						]
					]
				}
			];
		});
		return ranked(layouts);
	}
};
