import { titleStyle } from './common-rules';
import { grid, line, move, text, type Mark } from '../draw';
import { pageSize, ranked, type Form, type Layout, type Setting } from './form';
import { dayRow } from './day-labels';
import { daysAcross, daysAcrossRoom, daysAcrossSums } from './days-across';
import { itemsOf, labelsOf } from './labels';
import { titleSum } from './rows';
import { titleMarks, titleRows } from './title-band';

const header = 1;

/**
 * Items down, days across, a square each, after a label column as wide as the longest label; header 1.
 * Over a spread the fold splits the days. (Common practice.)
 */
export const matrixDaysAcross: Form = {
	id: 'matrix-days-across',
	name: 'Habits down, days across',
	spans: ['page', 'spread'],
	content: ['title', 'items'],
	rules: [titleStyle],
	layouts: (setting, room) => {
		const top = titleRows(setting);
		const rows = itemsOf(setting).length;
		const height = top + header + rows;
		const there = pageSize(room);
		const layouts = labelsOf(setting).flatMap((labels): Layout[] => {
			const across = daysAcross(setting, room, labels.width);
			if (!across || height > there.h) return [];
			const indent =
				room.span === 'spread' ? room.left.w - labels.width - (across.parts[0]?.length ?? 0) : 0;
			const [left = [], right] = across.parts;
			return [
				{
					room: daysAcrossRoom(across, room, height),
					discomfort: labels.discomfort,
					stretches: false,
					facts: {
						rows,
						header,
						title: top,
						label: labels.width,
						days: setting.month.days,
						capacity: rows,
						...(right ? { split: [left.length, right.length] as const } : {})
					},
					why: [
						...daysAcrossSums(across, room),
						`${titleSum(top)}header ${header} + ${rows} rows = ${height} of ${there.h} down`
					],
					marks: () => [
						leftMarks(setting, labels.labels, labels.width, left, top).map((mark) =>
							move(mark, { x: indent, y: 0 })
						),
						...(right ? [dayCells(right, { x: 0, y: top }, rows)] : [])
					]
				}
			];
		});
		return ranked(layouts);
	}
};

function leftMarks(
	setting: Setting,
	labels: readonly string[],
	width: number,
	days: readonly number[],
	top: number
): Mark[] {
	return [
		...titleMarks(setting, width + days.length, false),
		...labels.map((label, row) =>
			text(label, { x: 0, y: top + header + row, w: width, h: 1 }, 'hand', 'start')
		),
		...labels.map((_, row) => line(0, top + header + row + 1, width, top + header + row + 1)),
		...dayCells(days, { x: width, y: top }, labels.length)
	];
}

function dayCells(days: readonly number[], at: { x: number; y: number }, rows: number): Mark[] {
	return [
		...dayRow(days, at),
		...grid({ x: at.x, y: at.y + header }, { w: 1, h: 1 }, days.length, rows)
	];
}
