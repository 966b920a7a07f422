import { titleStyle, sideBySide, gapBetween, squareCell, withoutNumbers } from './common-rules';
import { move, type Mark } from '../draw';
import { squares, type Size } from '../paper';
import { pageSize, ranked, type Form, type Layout, type Setting } from './form';
import { itemsOf } from './labels';
import { fitLabel, miniMonthMarks, miniMonthSize } from './mini-month';
import { titleMarks, titleRows } from './title-band';

/** Squares between neighbours, widened evenly to fill the length; never below the least gap. */
function widened(length: number, count: number, each: number, least: number): number {
	return count === 1 ? least : Math.max(least, Math.floor((length - count * each) / (count - 1)));
}

interface Arrangement {
	readonly c: number;
	readonly across: number;
	readonly down: number;
	readonly gapAcross: number;
	readonly gapDown: number;
	readonly size: Size;
	/** Fewer stand side by side than could, or closer together than need be. */
	readonly discomfort: number;
}

function arrange(setting: Setting, there: Size, c: number, across: number, fill: boolean) {
	const wanted = gapBetween.of(setting);
	const one = miniMonthSize(setting, c, true);
	const count = itemsOf(setting).length;
	const down = Math.ceil(count / across);
	const top = titleRows(setting);
	const least = wanted ?? 1;
	const gapAcross = fill && wanted === undefined ? widened(there.w, across, one.w, least) : least;
	// Downward the gaps follow those across, as far as the height allows.
	const gapDown =
		fill && wanted === undefined
			? Math.min(gapAcross, widened(there.h - top, down, one.h, least))
			: least;
	const size = {
		w: across * one.w + (across - 1) * gapAcross,
		h: top + down * one.h + (down - 1) * gapDown
	};
	const most = Math.min(count, Math.floor((there.w + least) / (one.w + least)));
	const discomfort = (fill ? 0 : 5) + 5 * Math.max(0, most - across);
	const arrangement: Arrangement = { c, across, down, gapAcross, gapDown, size, discomfort };
	return size.w <= there.w && size.h <= there.h ? arrangement : undefined;
}

function toLayout(setting: Setting, there: Size, a: Arrangement): Layout {
	const { month } = setting;
	const items = itemsOf(setting);
	const one = miniMonthSize(setting, a.c, true);
	const top = titleRows(setting);
	const cut = items.filter((item) => fitLabel(item, one.w, setting).lacking > 0);
	const gaps = (count: number, gap: number) =>
		count > 1 ? ` + ${count - 1} ${count === 2 ? 'gap' : 'gaps'} of ${gap}` : '';
	const why = [
		`${a.across} × ${one.w}${gaps(a.across, a.gapAcross)} = ${a.size.w} of ${there.w} across`,
		`${top > 0 ? `title ${top} + ` : ''}${a.down} × ${one.h}${gaps(a.down, a.gapDown)} = ${a.size.h} of ${there.h} down`,
		...cut.map(
			(item) =>
				`“${item.name}” is ${squares(fitLabel(item, one.w, setting).lacking)} too long for ${one.w}: a shorter label is written`
		)
	];
	return {
		room: { span: 'page', ...a.size },
		// A shortened name needs a key in one's head.
		discomfort: a.discomfort + 10 * Math.min(3, cut.length),
		stretches: false,
		facts: {
			cell: { w: a.c, h: a.c },
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
			const marks: Mark[] = titleMarks(setting, a.size.w, false);
			items.forEach((item, index) => {
				const at = {
					x: (index % a.across) * (one.w + a.gapAcross),
					y: top + Math.floor(index / a.across) * (one.h + a.gapDown)
				};
				const { label } = fitLabel(item, one.w, setting);
				for (const mark of miniMonthMarks(setting, a.c, { x: 0, y: 0 }, label))
					marks.push(move(mark, at));
			});
			return [marks];
		}
	};
}

/**
 * A set of mini calendars, one a habit: k across and m down with gaps g ≥ 1 that are widened evenly to
 * fill: k · 7c + (k − 1) · g ≤ width, likewise down, each with a title line for its name. Cells are 1
 * square unless asked for. (Common practice.)
 */
export const miniCalendarSet: Form = {
	id: 'mini-calendar-set',
	name: 'Set of mini calendars',
	spans: ['page'],
	content: ['title', 'items'],
	rules: [titleStyle, sideBySide, gapBetween, squareCell, withoutNumbers],
	layouts: (setting, room) => {
		const there = pageSize(room);
		const count = itemsOf(setting).length;
		const c = squareCell.of(setting) ?? 1;
		const wanted = sideBySide.of(setting);
		const gap = gapBetween.of(setting) ?? 1;
		const arrangements: Arrangement[] = [];
		for (
			let across = Math.min(count, Math.floor((there.w + gap) / (7 * c + gap)));
			across >= 1;
			across--
		) {
			if (wanted !== undefined && across !== Math.min(wanted, count)) continue;
			// Only the fullest row is widened: in its room a narrower one would never be drawn.
			for (const fill of arrangements.length === 0 ? [true, false] : [false]) {
				const found = arrange(setting, there, c, across, fill);
				if (found && !arrangements.some((other) => same(other, found))) arrangements.push(found);
			}
		}
		return ranked(arrangements.map((a) => toLayout(setting, there, a)));
	}
};

function same(a: Arrangement, b: Arrangement): boolean {
	return a.across === b.across && a.gapAcross === b.gapAcross && a.gapDown === b.gapDown;
}
