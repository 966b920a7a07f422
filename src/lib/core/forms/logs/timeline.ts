import { daysRun, titleStyle } from '../form/common-rules';
import { field, grid, line, move, text, whichOf, type Mark } from '../../draw';
import { textWidth } from '../../hand';
import type { Dot, Rect } from '../../paper';
import { pageSize, ranked, type Form, type Layout, type Room, type Setting } from '../form/form';
import { dayColumn, dayLabelWidth, dayRow, daysFrom } from '../parts/day-labels';
import { daysAcross, daysAcrossRoom, daysAcrossSums } from '../parts/days-across';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';
import type { Goal } from '../form/content';

const header = 1;
const loadRow = 1;
const gap = 1;
/** Names are not squeezed below so many squares. */
const shortest = 4;
/** Rows of goals on a free page are as high as this, so that words fit into the bars. */
const higher = [2, 3, 4];
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

/** What is the same for every way to rule a timeline. */
interface Chart {
	readonly goals: readonly Goal[];
	readonly top: number;
	/** Squares for the names. */
	readonly label: number;
	readonly discomfort: number;
	readonly load: number;
	/** Squares that a goal's row is high: more than one only where a page is free. */
	readonly tall: number;
}

/**
 * A bar a goal across the days with its slack in another tint, and a last row with the number of goals under way each
 * day. On one page where the days do not fit across they stand in two half months one below the other, or run down with
 * a column a goal. Over a spread the fold splits them. (Common practice.)
 */
export const timeline: Form = {
	id: 'timeline',
	name: 'Goal timeline',
	spans: ['spread', 'page'],
	content: ['title', 'goals'],
	rules: [titleStyle, daysRun],
	layouts: (setting, room) => {
		const goals = goalsOf(setting);
		const { days } = setting.month;
		const longest = Math.max(...goals.map(({ name }) => textWidth(name, setting.hand)));
		const load = Math.max(...daysFrom(1, days).map((day) => loadOn(goals, day)));
		const charts = [...new Set([longest, Math.min(longest, shortest)])].map((label): Chart => {
			const discomfort = label < longest ? 15 : 0;
			return { goals, top: titleRows(setting), label, discomfort, load, tall: 1 };
		});
		const [best] = charts;
		const generous = higher.flatMap((tall) =>
			best ? waysAcross(setting, room, { ...best, tall }) : []
		);
		return ranked([
			...charts.flatMap((chart) => waysIn(setting, room, chart)),
			...generous.map((layout) => ({ ...layout, generous: true }))
		]);
	}
};

/** Days across, in one row or in two halves; none where they are to run down. */
function waysAcross(setting: Setting, room: Room, chart: Chart): Layout[] {
	if (daysRun.of(setting) === 'down') return [];
	const across = acrossDays(setting, room, chart);
	return across.length > 0 || room.span === 'spread' ? across : inHalves(setting, room, chart);
}

/** One way a room: what is drawn in a smaller one is then the same. */
function waysIn(setting: Setting, room: Room, chart: Chart): Layout[] {
	const across = waysAcross(setting, room, chart);
	const stays = room.span === 'spread' || daysRun.of(setting) === 'across';
	return across.length > 0 || stays ? across : downDays(setting, room, chart);
}

/** "3 goals", "3 goals × 2". */
function goalSum({ goals, tall }: Chart): string {
	return `${goals.length} goals${tall > 1 ? ` × ${tall}` : ''}`;
}

/** Rows of a part below the title: the days, a row a goal, and the load. */
function heightOf({ goals, tall }: Chart): number {
	return header + goals.length * tall + loadRow;
}

function acrossDays(setting: Setting, room: Room, chart: Chart): Layout[] {
	const { goals, top, label, load } = chart;
	const across = daysAcross(setting, room, label);
	const height = top + heightOf(chart);
	const there = pageSize(room);
	if (!across || height > there.h) return [];
	const [left = [], right] = across.parts;
	const indent = room.span === 'spread' ? room.left.w - label - left.length : 0;
	return [
		{
			room: daysAcrossRoom(across, room, height),
			discomfort: chart.discomfort,
			stretches: false,
			facts: {
				rows: goals.length,
				header,
				title: top,
				label,
				days: setting.month.days,
				load,
				...(right ? { split: [left.length, right.length] as const } : {})
			},
			why: [
				...daysAcrossSums(across, room),
				`${titleSum(top)}header ${header} + ${goalSum(chart)} + load ${loadRow} = ${height} of ${there.h} down`,
				`at most ${load} under way on one day`
			],
			marks: () => [
				[
					...titleMarks(setting, label + left.length, false),
					...labelled(chart, left, top),
					...reachedFields(chart, top)
				].map((mark) => move(mark, { x: indent, y: 0 })),
				...(right ? [bars(chart, right, { x: 0, y: top })] : [])
			]
		}
	];
}

function inHalves(setting: Setting, room: Room & { span: 'page' }, chart: Chart): Layout[] {
	const { goals, top, label, load } = chart;
	const { days } = setting.month;
	const half = Math.ceil(days / 2);
	const one = heightOf(chart);
	const size = { w: label + half, h: top + 2 * one + gap };
	if (size.w > room.w || size.h > room.h) return [];
	return [
		{
			room: { span: 'page', ...size },
			discomfort: chart.discomfort,
			stretches: false,
			facts: { rows: goals.length, header, title: top, label, days, load, abreast: 2 },
			why: [
				`labels ${label} + ${half} days = ${size.w} of ${room.w} across, the days in two halves`,
				`${titleSum(top)}2 × (header ${header} + ${goalSum(chart)} + load ${loadRow}) + gap ${gap} = ${size.h} of ${room.h} down`,
				`at most ${load} under way on one day`
			],
			marks: () => [
				[
					...titleMarks(setting, size.w, false),
					...labelled(chart, daysFrom(1, half), top),
					...reachedFields(chart, top),
					...labelled(chart, daysFrom(half + 1, days), top + one + gap)
				]
			]
		}
	];
}

function downDays(setting: Setting, room: Room & { span: 'page' }, chart: Chart): Layout[] {
	const { goals, top, label, load } = chart;
	const { days } = setting.month;
	const size = { w: dayLabelWidth + goals.length + loadRow, h: top + label + days };
	if (size.w > room.w || size.h > room.h) return [];
	return [
		{
			room: { span: 'page', ...size },
			discomfort: chart.discomfort + 10,
			stretches: false,
			facts: { rows: days, across: goals.length, title: top, label, days, load },
			why: [
				`days ${dayLabelWidth} + ${goals.length} goals + load ${loadRow} = ${size.w} of ${room.w} across`,
				`${titleSum(top)}names ${label} + ${days} days = ${size.h} of ${room.h} down`,
				`at most ${load} under way on one day`
			],
			marks: () => {
				const y = top + label;
				// The bars as they lie across, turned to run down.
				const lying = bars(chart, daysFrom(1, days), { x: 0, y: 0 });
				return [
					[
						...titleMarks(setting, size.w, false),
						...goals.map(({ name }, index): Mark => ({
							...text(name, { x: dayLabelWidth + index, y: top, w: 1, h: label }, 'hand', 'start'),
							turned: true
						})),
						...goals.map((_, index) =>
							reachedField(chart, index, { x: dayLabelWidth + index, y: top, w: 1, h: label })
						),
						...dayColumn(setting, daysFrom(1, days), { x: 0, y }),
						...lying.flatMap((mark) => stoodUp(mark, { x: dayLabelWidth - header, y }))
					]
				];
			}
		}
	];
}

/** A mark of a chart whose days lie across, as it is where they run down; the days' own numbers stand elsewhere. */
function stoodUp(mark: Mark, at: Dot): Mark[] {
	switch (mark.kind) {
		case 'line':
			return [line(at.x + mark.y1, at.y + mark.x1, at.x + mark.y2, at.y + mark.x2)];
		case 'arc':
			return [];
		default:
			return mark.kind === 'text' && mark.y < header
				? []
				: [{ ...mark, x: at.x + mark.y, y: at.y + mark.x, w: mark.h, h: mark.w }];
	}
}

/** Names of the goals, and their bars beside them. */
function labelled(chart: Chart, days: readonly number[], y: number): Mark[] {
	const { goals, label, tall } = chart;
	return [
		...goals.map(({ name }, row) =>
			text(name, { x: 0, y: y + header + (row + 1) * tall - 1, w: label, h: 1 }, 'hand', 'start')
		),
		...bars(chart, days, { x: label, y })
	];
}

/** Whether a goal was reached is ticked beside its name. */
function reachedField({ goals }: Chart, at: number, rect: Rect): Mark {
	const names = goals.map(({ name }) => name);
	return field(rect, { item: names[at], ...whichOf(names, at) }, 'tick');
}

function reachedFields(chart: Chart, y: number): Mark[] {
	const { goals, label: w, tall: h } = chart;
	return goals.map((_, row) => reachedField(chart, row, { x: 0, y: y + header + row * h, w, h }));
}

function bars(
	{ goals, tall }: Chart,
	days: readonly number[],
	at: { x: number; y: number }
): Mark[] {
	const [first = 1] = days;
	const last = days.at(-1) ?? 0;
	const loadAt = at.y + header + goals.length * tall;
	const part = (tone: 'bar' | 'slack', from: number, to: number, row: number): Mark[] => {
		const start = Math.max(from, first);
		const end = Math.min(to, last);
		if (end < start) return [];
		return [
			{
				kind: 'tint',
				tone,
				x: at.x + start - first,
				y: at.y + header + row * tall,
				w: end - start + 1,
				h: tall
			}
		];
	};
	return [
		...goals.flatMap(({ from, to, slack = 0 }, row) => [
			...part('bar', from, to, row),
			...part('slack', to + 1, to + slack, row)
		]),
		...dayRow(days, at),
		...grid({ x: at.x, y: at.y + header }, { w: 1, h: tall }, days.length, goals.length),
		...grid({ x: at.x, y: loadAt }, { w: 1, h: loadRow }, days.length, 1),
		...days.map((day, index) =>
			text(String(loadOn(goals, day)), { x: at.x + index, y: loadAt, w: 1, h: loadRow }, 'figure')
		)
	];
}
