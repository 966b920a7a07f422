import { choiceRule } from '../form/rule';
import { headerRows, titleStyle, lineHeight } from '../form/common-rules';
import { line, type Mark } from '../../draw';
import { pageSize, ranked, type Form, type Layout, type Setting } from '../form/form';
import { dayColumn, dayLabelWidth, daysFrom } from '../parts/day-labels';
import { dayField } from '../parts/key';
import { rowLines, titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';

const usualHeader = 2;
const leastText = 6;
/** Lines are no higher than this by themselves: room for two lines of writing a day. */
const airy = 3;
const tinted = choiceRule({
	name: 'tinted',
	label: 'Tinted is',
	more: true,
	options: [
		['second', 'every second line'],
		['none', 'none']
	],
	usual: 'second'
});

/**
 * A line a day: header 2 (fewer where rows are short) + days × 1 to 3 squares, number and initial at the left, every second line
 * tinted. Over a spread the first half of the month stands left. Lines grow to 3 where a place has the rows.
 * (Common practice.)
 */
export const dayLines: Form = {
	id: 'day-lines',
	name: 'A line a day',
	spans: ['page', 'spread'],
	content: ['title'],
	rules: [titleStyle, lineHeight, tinted, headerRows],
	layouts: (setting, room) => {
		const there = pageSize(room);
		const top = titleRows(setting);
		const { days } = setting.month;
		const left = room.span === 'page' ? days : Math.ceil(days / 2);
		// A large hand is not given lines that it cannot write on unless they are asked for.
		const wanted = lineHeight.of(setting);
		const heights = wanted
			? [wanted]
			: [...new Set([airy, Math.max(2, setting.hand.lineHeight), setting.hand.lineHeight])];
		/** Whether lines of a height leave so much of the place that they could be airy. */
		const wouldGrow = (height: number) =>
			height === airy - 1 && !wanted && top + usualHeader + left * airy <= there.h;
		const width = room.span === 'page' ? room.w : Math.min(room.left.w, room.right.w);
		const layouts = heights.flatMap((height): Layout[] => {
			const free =
				room.span === 'page'
					? room.h - left * height
					: Math.min(room.left.h - left * height, room.right.h - (days - left) * height);
			const header = headerRows.of(setting) ?? Math.max(0, Math.min(usualHeader, free - top));
			const down = top + header + left * height;
			const right = top + header + (days - left) * height;
			const fits =
				room.span === 'page' ? down <= room.h : down <= room.left.h && right <= room.right.h;
			if (!fits || width < dayLabelWidth + leastText) return [];
			return [
				{
					room:
						room.span === 'page'
							? { span: 'page', w: room.w, h: down }
							: {
									...room,
									left: { w: room.left.w, h: down },
									right: { w: room.right.w, h: right }
								},
					discomfort: (height === 1 ? 10 : wouldGrow(height) ? 3 : 0) + (width < 14 ? 15 : 0),
					stretches: false,
					facts: {
						rows: left,
						lineHeight: height,
						header,
						title: top,
						days,
						capacity: days,
						...(room.span === 'spread' ? { split: [left, days - left] as const } : {})
					},
					why: [
						`${titleSum(top)}header ${header} + ${left} × ${height} = ${down} of ${there.h} down`,
						...(room.span === 'spread' ? [`right: ${days - left} days, ${right} down`] : [])
					],
					marks: () =>
						room.span === 'page'
							? [lines(setting, daysFrom(1, days), room.w, height, top + header)]
							: [
									lines(setting, daysFrom(1, left), room.left.w, height, top + header),
									lines(
										{ ...setting, content: { ...setting.content, title: undefined } },
										daysFrom(left + 1, days),
										room.right.w,
										height,
										top + header
									)
								]
				}
			];
		});
		return ranked(layouts);
	}
};

function lines(
	setting: Setting,
	days: readonly number[],
	w: number,
	height: number,
	y: number
): Mark[] {
	const tints = days.flatMap((_, row): Mark[] =>
		row % 2 === 1 && tinted.of(setting) === 'second'
			? [{ kind: 'tint', tone: 'line', x: 0, y: y + row * height, w, h: height }]
			: []
	);
	return [
		...tints,
		...titleMarks(setting, w, false),
		...dayColumn(setting, days, { x: 0, y }, height),
		...rowLines({ x: 0, y, w, h: 0 }, height, days.length),
		line(dayLabelWidth, y, dayLabelWidth, y + days.length * height),
		...days.map((day, row) =>
			dayField(
				setting,
				{ x: dayLabelWidth, y: y + row * height, w: w - dayLabelWidth, h: height },
				{ day },
				'text'
			)
		)
	];
}
