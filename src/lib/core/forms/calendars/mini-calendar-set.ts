import {
	titleStyle,
	sideBySide,
	gapBetween,
	squareCell,
	datePlace,
	weekdayStyle
} from '../form/common-rules';
import { move, text, type Mark } from '../../draw';
import { squares, type Size } from '../../paper';
import { pageSize, ranked, type Form, type Layout, type Setting } from '../form/form';
import { isWeekly, itemsOf, sectionsOf, itemNames } from '../parts/labels';
import { fitLabel, miniMonthMarks, miniMonthSize, squareOf, weekBoxMarks } from './mini-month';
import { choiceRule } from '../form/rule';
import { titleMarks, titleRows } from '../parts/title-band';
import type { Item } from '../form/content';

const heading = 1;
const names = choiceRule({
	name: 'names',
	label: 'Names',
	more: true,
	options: [
		['above', 'above'],
		['below', 'below'],
		['left', 'at the left, upwards'],
		['right', 'at the right, upwards'],
		['key', 'as numbers, with a key below']
	],
	usual: 'above'
});

/** A cell higher than wide, where wider ones find no room side by side. */
const upright: Size = { w: 1, h: 2 };

/** Wider gaps pull a set apart. */
const widestGap = 4;

/** Squares between neighbours, widened evenly to fill the length; never below the least gap. */
function widened(length: number, count: number, each: number, least: number): number {
	if (count === 1) return least;
	const even = Math.min(widestGap, Math.floor((length - count * each) / (count - 1)));
	return Math.max(least, even);
}

/** A calendar with its name: how large it is, and how long the name may be. */
function oneOf(setting: Setting, cell: Size): Size & { readonly name: number } {
	const { w, h } = miniMonthSize(setting, cell);
	const beside = ['left', 'right'].includes(names.of(setting));
	return beside ? { w: w + 1, h, name: h } : { w, h: h + 1, name: w };
}

interface Arrangement {
	readonly cell: Size;
	readonly across: number;
	readonly down: number;
	readonly gapAcross: number;
	readonly gapDown: number;
	readonly size: Size;
	/** Fewer or more stand side by side than in rows of one length, or closer together than need be. */
	readonly discomfort: number;
}

/** Rows of calendars when so many stand side by side: each group begins a row of its own. */
function rowsOf(setting: Setting, across: number): { heading?: string; items: readonly Item[] }[] {
	return sectionsOf(setting).flatMap(({ heading, items }) =>
		Array.from({ length: Math.ceil(items.length / across) }, (_, row) => ({
			...(row === 0 && heading ? { heading } : {}),
			items: items.slice(row * across, (row + 1) * across)
		}))
	);
}

/** As many as can ever stand side by side: the largest group. */
function widestRow(setting: Setting): number {
	return Math.max(...sectionsOf(setting).map(({ items }) => items.length));
}

function arrange(setting: Setting, there: Size, cell: Size, across: number, fill: boolean) {
	const wanted = gapBetween.of(setting);
	const one = oneOf(setting, cell);
	const rows = rowsOf(setting, across);
	const down = rows.length;
	const fixed =
		titleRows(setting) + heading * rows.filter(({ heading }) => heading !== undefined).length;
	const least = wanted ?? 1;
	const gapAcross = fill && wanted === undefined ? widened(there.w, across, one.w, least) : least;
	// Downward the gaps follow those across, as far as the height allows.
	const gapDown =
		fill && wanted === undefined
			? Math.min(gapAcross, widened(there.h - fixed, down, one.h, least))
			: least;
	const size = {
		w: across * one.w + (across - 1) * gapAcross,
		h: fixed + down * one.h + (down - 1) * gapDown
	};
	const most = Math.min(widestRow(setting), Math.floor((there.w + least) / (one.w + least)));
	// Six stand as three and three, not as five and one (common practice).
	const even = Math.ceil(widestRow(setting) / Math.ceil(widestRow(setting) / most));
	const discomfort = (fill ? 0 : 5) + 5 * Math.abs(even - across);
	const arrangement: Arrangement = { cell, across, down, gapAcross, gapDown, size, discomfort };
	return size.w <= there.w && size.h <= there.h ? arrangement : undefined;
}

function toLayout(setting: Setting, there: Size, a: Arrangement): Layout {
	const { month } = setting;
	const items = itemsOf(setting);
	const one = oneOf(setting, a.cell);
	const top = titleRows(setting);
	const headings = rowsOf(setting, a.across).filter(({ heading }) => heading).length;
	const cut =
		names.of(setting) === 'key'
			? []
			: items.filter((item) => fitLabel(item, one.name, setting).lacking > 0);
	const gaps = (count: number, gap: number) =>
		count > 1 ? ` + ${count - 1} ${count === 2 ? 'gap' : 'gaps'} of ${gap}` : '';
	const why = [
		`${a.across} × ${one.w}${gaps(a.across, a.gapAcross)} = ${a.size.w} of ${there.w} across`,
		`${top > 0 ? `title ${top} + ` : ''}${headings > 0 ? `${headings} names of groups + ` : ''}${a.down} × ${one.h}${gaps(a.down, a.gapDown)} = ${a.size.h} of ${there.h} down`,
		...cut.map(
			(item) =>
				`“${item.name}” is ${squares(fitLabel(item, one.name, setting).lacking)} too long for ${one.name}: a shorter label is written`
		)
	];
	return {
		room: { span: 'page', ...a.size },
		// A shortened name needs a key in one's head.
		discomfort: a.discomfort + 10 * Math.min(3, cut.length),
		stretches: false,
		facts: {
			cell: a.cell,
			across: a.across,
			down: a.down,
			gap: a.gapAcross,
			rows: month.weeks,
			days: month.days,
			weeks: month.weeks,
			lead: month.lead,
			title: top,
			capacity: a.across * a.down,
			over: there.w - a.size.w
		},
		why,
		marks: () => {
			const marks: Mark[] = [...titleMarks(setting, a.size.w, false)];
			let y = top;
			for (const row of rowsOf(setting, a.across)) {
				if (row.heading) {
					marks.push(text(row.heading, { x: 0, y, w: a.size.w, h: 1 }, 'hand', 'start'));
					y += heading;
				}
				row.items.forEach((item, index) => {
					const at = { x: index * (one.w + a.gapAcross), y };
					marks.push(...named(setting, item, a.cell).map((mark) => move(mark, at)));
				});
				y += one.h + a.gapDown;
			}
			return [marks];
		}
	};
}

/** One habit's calendar, or its box a week, with the name where names stand. */
function named(setting: Setting, item: Item, cell: Size): Mark[] {
	const index = itemsOf(setting).findIndex(({ name }) => name === item.name);
	const kept = itemNames(setting)[index] ?? item.name;
	const side = names.of(setting);
	const { w, h } = miniMonthSize(setting, cell);
	const label =
		side === 'key' ? String(index + 1) : fitLabel(item, oneOf(setting, cell).name, setting).label;
	const at = { x: side === 'left' ? 1 : 0, y: ['above', 'key'].includes(side) ? 1 : 0 };
	const calendar = (isWeekly(item) ? weekBoxMarks : miniMonthMarks)(setting, cell, at, undefined, {
		item: kept
	});
	const turned = (x: number): Mark => ({
		...text(label, { x, y: 0, w: 1, h }, 'hand', 'start'),
		turned: true
	});
	switch (side) {
		case 'above':
		case 'key':
			return [text(label, { x: 0, y: 0, w, h: 1 }, 'hand', 'start'), ...calendar];
		case 'below':
			return [...calendar, text(label, { x: 0, y: h, w, h: 1 }, 'hand', 'start')];
		case 'left':
			return [turned(0), ...calendar];
		case 'right':
			return [...calendar, turned(w)];
	}
}

/**
 * A set of mini calendars, one a habit: k across and m down with gaps g ≥ 1 that are widened evenly to
 * fill: k · 7c + (k − 1) · g ≤ width, likewise down, each with a line for its name. Each group begins a row under its
 * name, and a weekly habit has a box a week. Cells are 1 square, up to 3 where several still stand side by side, or 1 × 2.
 * (Common practice.)
 */
export const miniCalendarSet: Form = {
	id: 'mini-calendar-set',
	name: 'Set of mini calendars',
	spans: ['page'],
	content: ['title', 'items'],
	rules: [titleStyle, sideBySide, squareCell, names, gapBetween, datePlace, weekdayStyle],
	notes: (setting) =>
		names.of(setting) === 'key'
			? [
					itemsOf(setting)
						.map(({ name }, index) => `${index + 1} ${name}`)
						.join(', ')
				]
			: [],
	layouts: (setting, room) => {
		const there = pageSize(room);
		const asked = squareCell.of(setting);
		// Larger ones first: where there is room for them they are drawn. One below the other they leave half a page.
		const sizes = asked ? [squareOf(asked)] : [...[3, 2].map(squareOf), upright, squareOf(1)];
		const arrangements = sizes.flatMap((cell) =>
			arrangementsOf(setting, there, cell).filter(
				({ across }) =>
					asked !== undefined || cell.w === 1 || across > 1 || widestRow(setting) === 1
			)
		);
		return ranked(arrangements.map((a) => toLayout(setting, there, a)));
	}
};

/** Ways to arrange calendars with cells of so many squares. */
function arrangementsOf(setting: Setting, there: Size, cell: Size): Arrangement[] {
	const count = widestRow(setting);
	const one = oneOf(setting, cell);
	const wanted = sideBySide.of(setting);
	const gap = gapBetween.of(setting) ?? 1;
	const arrangements: Arrangement[] = [];
	const most = Math.min(count, Math.floor((there.w + gap) / (one.w + gap)));
	for (let across = most; across >= 1; across--) {
		if (wanted !== undefined && across !== Math.min(wanted, count)) continue;
		// Only the fullest row and the most even one are widened: in their rooms no narrower one would be drawn.
		const even = across === Math.ceil(count / Math.ceil(count / most));
		for (const fill of across === most || even ? [true, false] : [false]) {
			const found = arrange(setting, there, cell, across, fill);
			if (found && !arrangements.some((other) => same(other, found))) arrangements.push(found);
		}
	}
	return arrangements;
}

function same(a: Arrangement, b: Arrangement): boolean {
	return a.across === b.across && a.gapAcross === b.gapAcross && a.gapDown === b.gapDown;
}
