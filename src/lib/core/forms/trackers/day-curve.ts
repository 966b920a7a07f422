import { daysRun, titleStyle } from '../form/common-rules';
import { field, frame, line, move, text, type FieldMark, type Mark } from '../../draw';
import type { Rect } from '../../paper';
import { ranked, type Form, type Layout, type Room, type Setting } from '../form/form';
import { dayColumn, dayLabelWidth, dayRow, daysFrom } from '../parts/day-labels';
import { titleSum } from '../parts/rows';
import {
	firstValue,
	lastValue,
	scaleOf,
	stepValue,
	unitMarks,
	unitWidth,
	valuesAcross,
	valuesUp,
	valueWidth,
	type Scale
} from '../parts/scale';
import { titleMarks, titleRows } from '../parts/title-band';

const header = 1;
const gap = 1;
/** Squares a step of the scale takes at most. */
const widest = 2;
const usualStep = 10;
const mostNames = 3;

/** Names of the values that share the chart, written below it; none where none are named. */
function namesOf({ content }: Setting): readonly string[] {
	return (content.parts ?? []).slice(0, mostNames);
}

function legendRows(setting: Setting): number {
	return namesOf(setting).length > 0 ? 1 : 0;
}

function legend(setting: Setting, w: number, y: number): Mark[] {
	const names = namesOf(setting);
	const each = Math.floor(w / Math.max(1, names.length));
	return names.map((name, index) =>
		text(name, { x: index * each, y, w: Math.max(1, each), h: 1 }, 'hand', 'start')
	);
}

/**
 * A chart to put a dot in for each day and to join by hand: days across or down, a scale of whole squares for the other
 * way; steps from 0 to 12,000 by 1,000 take 12. Only its frame is ruled, the paper's own dots do the rest. Where the
 * days are too many for the width they run down, or stand in two halves one below the other; over a spread the fold
 * parts them. (Common practice.)
 */
export const dayCurve: Form = {
	id: 'day-curve',
	name: 'A line through the days',
	spans: ['page', 'spread'],
	content: ['title', 'unit', 'parts'],
	partsAre: 'Values that share it, three at most',
	rules: [titleStyle, firstValue, lastValue, stepValue, daysRun],
	layouts: (setting, room) => {
		const scale = scaleOf(setting, usualStep);
		const wanted = daysRun.of(setting);
		if (room.span === 'spread')
			return wanted === 'down' ? [] : ranked(overFold(setting, room, scale));
		// One way a room: what is drawn in a smaller one is then the same.
		const ways = [
			...(wanted === 'down' ? [] : [() => inLines(setting, room, scale, 1)]),
			...(wanted === 'across' ? [] : [() => down(setting, room, scale)]),
			...(wanted === 'down' ? [] : [() => inLines(setting, room, scale, 2)])
		];
		for (const way of ways) {
			const found = way();
			if (found.length > 0) return ranked(found);
		}
		return [];
	}
};

type PageRoom = Room & { span: 'page' };

/** Days across in one line, or in two halves one below the other. */
function inLines(setting: Setting, room: PageRoom, scale: Scale, lines: 1 | 2): Layout[] {
	const { days } = setting.month;
	const top = titleRows(setting);
	const label = valueWidth(setting, scale);
	const each = Math.ceil(days / lines);
	const below = legendRows(setting);
	const free = room.h - top - below - (lines - 1) * gap;
	const step = Math.min(widest, Math.floor((free / lines - header) / scale.steps));
	const size = {
		w: label + each,
		h: top + lines * (scale.steps * step + header + gap) - gap + below
	};
	if (step < 1 || size.w > room.w || size.h > room.h) return [];
	return [
		{
			room: { span: 'page', ...size },
			discomfort: (lines - 1) * 10 + (step < widest ? 5 : 0),
			stretches: false,
			facts: { rows: scale.steps, header, title: top, days, label, across: each, abreast: lines },
			why: [
				`values ${label} + ${each} days = ${size.w} of ${room.w} across`,
				`${titleSum(top)}${lines > 1 ? `${lines} × ` : ''}(${scale.steps} steps × ${step} + days ${header})${lines > 1 ? ` + gap ${gap}` : ''}${below > 0 ? ` + names ${below}` : ''} = ${size.h} of ${room.h} down`
			],
			marks: () => [
				[
					...titleMarks(setting, size.w, false),
					...daysFrom(1, lines).flatMap((part) => {
						const shown = daysFrom((part - 1) * each + 1, Math.min(days, part * each));
						const y = top + (part - 1) * (scale.steps * step + header + gap);
						return [
							...valuesUp(setting, scale, step, y),
							...unitMarks(setting, { x: 0, y: y + scale.steps * step, w: label, h: 1 }),
							...chartAcross(setting, shown, scale, step, { x: label, y })
						];
					}),
					...legend(setting, size.w, size.h - below)
				]
			]
		}
	];
}

function chartAcross(
	setting: Setting,
	days: readonly number[],
	scale: Scale,
	step: number,
	{ x, y }: { x: number; y: number }
): Mark[] {
	const h = scale.steps * step;
	return [
		...frame({ x, y, w: days.length, h }),
		...dayRow(days, { x, y: y + h }),
		...days.flatMap((day, at) => valueFields(setting, day, { x: x + at, y, w: 1, h }))
	];
}

function overFold(setting: Setting, room: Room & { span: 'spread' }, scale: Scale): Layout[] {
	const { days } = setting.month;
	const top = titleRows(setting);
	const label = valueWidth(setting, scale);
	const below = legendRows(setting);
	// Two parts as equal as they can be.
	const left = Math.min(Math.ceil(days / 2), room.left.w - label);
	const right = days - left;
	const there = Math.min(room.left.h, room.right.h);
	const step = Math.min(widest, Math.floor((there - top - below - header) / scale.steps));
	if (left < 1 || right > room.right.w || step < 1) return [];
	const h = top + scale.steps * step + header + below;
	const indent = room.left.w - label - left;
	return [
		{
			room: { ...room, left: { w: room.left.w, h }, right: { w: room.right.w, h } },
			discomfort: step < widest ? 5 : 0,
			stretches: false,
			facts: { rows: scale.steps, header, title: top, days, label, split: [left, right] },
			why: [
				`left: values ${label} + ${left} days = ${label + left} of ${room.left.w}; right: ${right} days of ${room.right.w}`,
				`${titleSum(top)}${scale.steps} steps × ${step} + days ${header}${below > 0 ? ` + names ${below}` : ''} = ${h} of ${there} down`
			],
			marks: () => [
				[
					...titleMarks(setting, label + left, false),
					...valuesUp(setting, scale, step, top),
					...unitMarks(setting, { x: 0, y: top + scale.steps * step, w: label, h: 1 }),
					...chartAcross(setting, daysFrom(1, left), scale, step, { x: label, y: top }),
					...legend(setting, label + left, h - below)
				].map((mark) => move(mark, { x: indent, y: 0 })),
				chartAcross(setting, daysFrom(left + 1, days), scale, step, { x: 0, y: top })
			]
		}
	];
}

function down(setting: Setting, room: PageRoom, scale: Scale): Layout[] {
	const { days } = setting.month;
	const top = titleRows(setting);
	const below = legendRows(setting);
	const step = Math.min(widest, Math.floor((room.w - dayLabelWidth) / scale.steps));
	const w = dayLabelWidth + scale.steps * step;
	const h = top + header + days + below;
	if (step < 1 || h > room.h) return [];
	return [
		{
			room: { span: 'page', w, h },
			discomfort: step < widest ? 5 : 0,
			stretches: false,
			facts: { rows: days, header, title: top, days, across: scale.steps },
			why: [
				`days ${dayLabelWidth} + ${scale.steps} steps × ${step} = ${w} of ${room.w} across`,
				`${titleSum(top)}values ${header} + ${days} days${below > 0 ? ` + names ${below}` : ''} = ${h} of ${room.h} down`
			],
			marks: () => [
				[
					...titleMarks(setting, w, false),
					...valuesAcross(setting, scale, step, top),
					...unitMarks(setting, {
						x: 0,
						y: top,
						w: unitWidth(setting, { ...scale, each: step }),
						h: 1
					}),
					...dayColumn(setting, daysFrom(1, days), { x: 0, y: top + header }),
					...frame({ x: dayLabelWidth, y: top + header, w: w - dayLabelWidth, h: days }),
					line(0, top + header, dayLabelWidth, top + header),
					...daysFrom(1, days).flatMap((day) =>
						valueFields(setting, day, {
							x: dayLabelWidth,
							y: top + header + day - 1,
							w: w - dayLabelWidth,
							h: 1
						})
					),
					...legend(setting, w, h - below)
				]
			]
		}
	];
}

/** Fields of the values that share a day's place: parts of it, one after the other along its longer side. */
function valueFields(setting: Setting, day: number, place: Rect): FieldMark[] {
	const names = namesOf(setting);
	if (names.length === 0) return [field(place, { day }, 'number')];
	// In parts that a computer adds up exactly.
	const part = (length: number) => Math.floor((64 * length) / names.length) / 64;
	const [w, h] = place.w > place.h ? [part(place.w), place.h] : [place.w, part(place.h)];
	return names.map((item, at) =>
		field(
			place.w > place.h
				? { x: place.x + at * w, y: place.y, w, h }
				: { x: place.x, y: place.y + at * h, w, h },
			{ item, day },
			'number'
		)
	);
}
