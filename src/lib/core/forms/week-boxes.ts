import { numberRule } from './rule';
import { undated, weekOfMonth, gapBetween } from './common-rules';
import { frame, type Mark } from '../draw';
import type { Rect, Size } from '../paper';
import { cellDiscomfort, pageSize, ranked, type Form, type Layout, type Setting } from './form';
import { daysOfWeek, dayHeading, spareHeading, weekNumberOf } from './week';

const usualGap = 1;
const leastBox = 4;

const frameRule = numberRule({
	name: 'frame',
	label: 'Stands in from the outer edge',
	least: 0,
	most: 50,
	unit: 'squares',
	more: true,
	chosen: () => 0
});
const shiftRule = numberRule({
	name: 'shift',
	label: 'Every other column lower by',
	least: 0,
	most: 20,
	unit: 'squares',
	more: true,
	chosen: ({ shift }) => shift
});

/**
 * A week in eight boxes over a spread, 2 × 2 a page, seven days and a spare; or six boxes on one page,
 * the last two days sharing one. Gaps of 1; `frame` stands in from the outer edge; `shift` lowers every
 * other column.
 * (Common practice.)
 */
export const weekBoxes: Form = {
	id: 'week-boxes',
	name: 'Week in boxes',
	spans: ['spread', 'page'],
	content: [],
	rules: [weekOfMonth, gapBetween, frameRule, shiftRule, undated],
	layouts: (setting, room) => {
		const there = pageSize(room);
		const gap = gapBetween.of(setting) ?? usualGap;
		const inset = frameRule.of(setting) ?? 0;
		const shift = shiftRule.of(setting) ?? 0;
		const rows = room.span === 'page' ? 3 : 2;
		const w = Math.floor((there.w - inset - gap) / 2);
		const h = Math.floor((there.h - shift - (rows - 1) * gap) / rows);
		const layouts: Layout[] = [];
		if (w >= leastBox && h >= leastBox) {
			const size = { w: there.w, h: rows * h + (rows - 1) * gap + shift };
			layouts.push({
				room:
					room.span === 'page'
						? { span: 'page', ...size }
						: {
								...room,
								left: { w: room.left.w, h: size.h },
								right: { w: room.right.w, h: size.h }
							},
				discomfort: cellDiscomfort(Math.min(w, h) - 2),
				stretches: false,
				facts: {
					cell: { w, h },
					across: 2,
					down: rows,
					gap,
					week: weekNumberOf(setting),
					shift,
					over: there.w - inset - 2 * w - gap
				},
				why: [
					`${inset > 0 ? `(${there.w} − ${inset})` : there.w} across: 2 × ${w} + gap ${gap} = ${2 * w + gap}`,
					`${rows} × ${h}${rows > 1 ? ` + ${rows - 1} × ${gap}` : ''}${shift > 0 ? ` + shift ${shift}` : ''} = ${size.h} of ${there.h} down`
				],
				marks: () =>
					room.span === 'page'
						? [sixBoxes(setting, boxesAt(inset, { w, h }, gap, 3, shift))]
						: [
								fourBoxes(setting, boxesAt(inset, { w, h }, gap, 2, shift), 0),
								fourBoxes(setting, boxesAt(0, { w, h }, gap, 2, shift), 4)
							]
			});
		}
		return ranked(layouts);
	}
};

/** Boxes of a page, column by column; the second column stands lower. */
function boxesAt(x: number, { w, h }: Size, gap: number, rows: number, shift: number): Rect[] {
	return [0, 1].flatMap((column) =>
		Array.from({ length: rows }, (_, row) => ({
			x: x + column * (w + gap),
			y: row * (h + gap) + column * shift,
			w,
			h
		}))
	);
}

function fourBoxes(setting: Setting, boxes: readonly Rect[], first: number): Mark[] {
	const days = daysOfWeek(setting);
	return boxes.flatMap((box, index) => {
		const day = days[first + index];
		return [...(day ? [dayHeading(setting, day, box)] : spareHeading(setting, box)), ...frame(box)];
	});
}

function sixBoxes(setting: Setting, boxes: readonly Rect[]): Mark[] {
	const days = daysOfWeek(setting);
	return boxes.flatMap((box, index): Mark[] => {
		const day = days[index];
		const marks: Mark[] = [...frame(box)];
		if (day) marks.push(dayHeading(setting, day, box));
		const last = days[6];
		const half = { ...box, y: box.y + Math.floor(box.h / 2) };
		// The sixth box holds the last two days, one below the other.
		if (index === 5 && last) marks.push(dayHeading(setting, last, half));
		return marks;
	});
}
