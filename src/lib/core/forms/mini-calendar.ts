import { squareCell, datePlace, weekdayStyle } from './common-rules';
import { ranked, pageSize, type Form, type Layout } from './form';
import { weekdayRow, miniMonthMarks, miniMonthSize } from './mini-month';

/** Cells of these squares bear a date and a code; larger ones are for pages that are free anyway. */
const usual = 2;

/**
 * One mini calendar: cell c, width 7c, height (weeks + 1)c, + 1 for a title line. Cells of 1 square
 * bear a date or a tick, 2 × 2 also a code. Default cells: 2, or 1 where 2 do not fit. (Common
 * practice.)
 */
export const miniCalendar: Form = {
	id: 'mini-calendar',
	name: 'Mini calendar',
	spans: ['page'],
	content: ['title'],
	rules: [squareCell, datePlace, weekdayStyle],
	layouts: (setting, room) => {
		const { month, content } = setting;
		const wanted = squareCell.of(setting);
		const there = pageSize(room);
		const titled = Boolean(content.title);
		const sizes = wanted ? [wanted] : [2, 1, 4, 3];
		const layouts = sizes.flatMap((c): Layout[] => {
			const size = miniMonthSize(setting, c, titled);
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
						title: titled ? 1 : 0
					},
					why: [
						`7 × ${c} = ${size.w} across`,
						`${titled ? 'title 1 + ' : ''}(${weekdayRow(setting) > 0 ? 'weekdays 1 + ' : ''}${month.weeks} weeks) × ${c} = ${size.h} down`
					],
					marks: () => [miniMonthMarks(setting, c, { x: 0, y: 0 }, content.title || undefined, {})]
				}
			];
		});
		return ranked(layouts);
	}
};
