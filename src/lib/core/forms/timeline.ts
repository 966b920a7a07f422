import { titleStyle } from './common-rules';
import { grid, move, text, type Mark } from '../draw';
import { textWidth } from '../hand';
import { pageSize, ranked, type Form, type Layout, type Setting } from './form';
import { dayRow } from './day-labels';
import { daysAcross, daysAcrossRoom, daysAcrossSums } from './days-across';
import { titleSum } from './rows';
import { titleMarks, titleRows } from './title-band';
import type { Goal } from './content';

const header = 1;
const load = 1;
const samples: readonly Goal[] = [
	{ name: 'Begin', from: 1, to: 10, slack: 3 },
	{ name: 'Go on', from: 8, to: 24, slack: 4 }
];

function goalsOf({ content }: Setting): readonly Goal[] {
	return content.goals && content.goals.length > 0 ? content.goals : samples;
}

/** Goals under way on a day, slack included. */
function loadOn(goals: readonly Goal[], day: number): number {
	return goals.filter(({ from, to, slack = 0 }) => from <= day && day <= to + slack).length;
}

/**
 * Days across, a bar a goal with its slack in another tint, and a last row with the number of goals
 * under way each day. Over a spread the fold splits the days. (Common practice.)
 */
export const timeline: Form = {
	id: 'timeline',
	name: 'Goal timeline',
	spans: ['spread', 'page'],
	content: ['title', 'goals'],
	rules: [titleStyle],
	layouts: (setting, room) => {
		const goals = goalsOf(setting);
		const top = titleRows(setting);
		const height = top + header + goals.length + load;
		const there = pageSize(room);
		const longest = Math.max(...goals.map(({ name }) => textWidth(name, setting.hand)));
		const widths = [...new Set([longest, Math.min(longest, 4)])];
		const fullest = Math.max(
			...Array.from({ length: setting.month.days }, (_, index) => loadOn(goals, index + 1))
		);
		const layouts = widths.flatMap((width): Layout[] => {
			const across = daysAcross(setting, room, width);
			if (!across || height > there.h) return [];
			const [left = [], right] = across.parts;
			const indent = room.span === 'spread' ? room.left.w - width - left.length : 0;
			return [
				{
					room: daysAcrossRoom(across, room, height),
					discomfort: width < longest ? 15 : 0,
					stretches: false,
					facts: {
						rows: goals.length,
						header,
						title: top,
						label: width,
						days: setting.month.days,
						load: fullest,
						...(right ? { split: [left.length, right.length] as const } : {})
					},
					why: [
						...daysAcrossSums(across, room),
						`${titleSum(top)}header ${header} + ${goals.length} goals + load ${load} = ${height} of ${there.h} down`,
						`at most ${fullest} under way on one day`
					],
					marks: () => [
						[
							...titleMarks(setting, width + left.length, false),
							...goals.map(({ name }, row) =>
								text(name, { x: 0, y: top + header + row, w: width, h: 1 }, 'hand', 'start')
							),
							...bars(goals, left, { x: width, y: top })
						].map((mark) => move(mark, { x: indent, y: 0 })),
						...(right ? [bars(goals, right, { x: 0, y: top })] : [])
					]
				}
			];
		});
		return ranked(layouts);
	}
};

function bars(
	goals: readonly Goal[],
	days: readonly number[],
	at: { x: number; y: number }
): Mark[] {
	const [first = 1] = days;
	const last = days.at(-1) ?? 0;
	const part = (tone: 'bar' | 'slack', from: number, to: number, row: number): Mark[] => {
		const start = Math.max(from, first);
		const end = Math.min(to, last);
		if (end < start) return [];
		return [
			{
				kind: 'tint',
				tone,
				x: at.x + start - first,
				y: at.y + header + row,
				w: end - start + 1,
				h: 1
			}
		];
	};
	return [
		...goals.flatMap(({ from, to, slack = 0 }, row) => [
			...part('bar', from, to, row),
			...part('slack', to + 1, to + slack, row)
		]),
		...dayRow(days, at),
		...grid({ x: at.x, y: at.y + header }, { w: 1, h: 1 }, days.length, goals.length + load),
		...days.map((day, index) =>
			text(
				String(loadOn(goals, day)),
				{ x: at.x + index, y: at.y + header + goals.length, w: 1, h: 1 },
				'figure'
			)
		)
	];
}
