import { titleStyle, sideBySide } from '../form/common-rules';
import { field, grid, line, move, text, type Mark } from '../../draw';
import { textWidth } from '../../hand';
import { pageForm, type Setting } from '../form/form';
import { daysFrom } from '../parts/day-labels';
import { dayField } from '../parts/key';
import { isWeekly, itemNames, itemsOf } from '../parts/labels';
import { fitLabel } from '../calendars/mini-month';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';
import type { Item } from '../form/content';

const usualAcross = 12;
const gap = 1;

interface Strip {
	readonly across: number;
	readonly rows: number;
	/** Days in the first line, at its right end. */
	readonly first: number;
	/** Squares left for the name before them. */
	readonly free: number;
}

function stripOf(setting: Setting): Strip {
	const { month } = setting;
	const across = sideBySide.of(setting) ?? usualAcross;
	const rows = Math.ceil(month.days / across);
	const first = month.days - across * (rows - 1);
	return { across, rows, first, free: across - first };
}

/**
 * Strips: r squares across, rows k = ceil(days / r); the first line has days − r(k − 1) days at its
 * right end and the name in the squares left over before them. Gaps of 1 between strips. Default 12
 * across. (Common practice.)
 */
export const strips = pageForm({
	id: 'strips',
	name: 'Strips',
	content: ['title', 'items'],
	rules: [titleStyle, sideBySide],
	layouts: (setting, there) => {
		const strip = stripOf(setting);
		const { across, rows, first, free } = strip;
		if (free === 0) return [];
		const items = itemsOf(setting);
		const kept = itemNames(setting);
		const top = titleRows(setting);
		const most = Math.min(items.length, Math.floor((there.w + gap) / (across + gap)));
		return Array.from({ length: Math.max(0, most) }, (_, index) => most - index).map((abreast) => {
			const down = Math.ceil(items.length / abreast);
			const size = {
				w: abreast * across + (abreast - 1) * gap,
				h: top + down * rows + (down - 1) * gap
			};
			const cut = items.filter((item) => textWidth(item.name, setting.hand) > free);
			return {
				size,
				discomfort: 5 * (most - abreast) + 8 * Math.min(4, cut.length),
				facts: {
					across,
					rows,
					first,
					free,
					abreast,
					down,
					gap,
					title: top,
					days: setting.month.days,
					capacity: items.length
				},
				why: [
					`${[first, ...Array.from({ length: rows - 1 }, () => across)].join(' + ')} = ${setting.month.days} days, ${free} squares for the name`,
					`${abreast} × ${across}${abreast > 1 ? ` + ${abreast - 1} × ${gap}` : ''} = ${size.w} of ${there.w} across`,
					`${titleSum(top)}${down} × ${rows} + ${down - 1} × ${gap} = ${size.h} of ${there.h} down`,
					...cut.map(
						({ name }) =>
							`“${name}” is ${textWidth(name, setting.hand) - free} too long for ${free}: a shorter label is written`
					)
				],
				marks: () => [
					...titleMarks(setting, size.w, false),
					...items.flatMap((item, index) => {
						const at = {
							x: (index % abreast) * (across + gap),
							y: top + Math.floor(index / abreast) * (rows + gap)
						};
						const { label } = fitLabel(item, free, setting);
						const name = kept[index] ?? item.name;
						const one = isWeekly(item)
							? weeklyStrip(strip, item, name, setting)
							: stripMarks(setting, strip, label, name);
						return one.map((mark) => move(mark, at));
					})
				]
			};
		});
	}
});

/** A box a week, as wide as they go, in the strip's last row; the name over them, or before them in a strip of one row. */
function weeklyStrip(
	{ across, rows, free }: Strip,
	item: Item,
	kept: string,
	setting: Setting
): Mark[] {
	const { weeks } = setting.month;
	const before = rows > 1 ? 0 : free;
	const each = Math.max(1, Math.floor((across - before) / weeks));
	const shown = Math.min(weeks, across - before);
	const y = rows - 1;
	const name = rows > 1 ? across : free;
	return [
		text(fitLabel(item, name, setting).label, { x: 0, y: 0, w: name, h: 1 }, 'hand', 'start'),
		...grid({ x: before, y }, { w: each, h: 1 }, shown, 1),
		...daysFrom(1, shown).map((week) =>
			field({ x: before + (week - 1) * each, y, w: each, h: 1 }, { item: kept, week }, 'mark')
		)
	];
}

function stripMarks(
	setting: Setting,
	{ across, rows, first, free }: Strip,
	name: string,
	item: string
): Mark[] {
	const marks: Mark[] = [text(name, { x: 0, y: 0, w: free, h: 1 }, 'hand', 'start')];
	for (let day = 1; day <= first + across * (rows - 1); day++) {
		const at =
			day <= first
				? { x: free + day - 1, y: 0 }
				: {
						x: (day - first - 1) % across,
						y: 1 + Math.floor((day - first - 1) / across)
					};
		marks.push(
			text(String(day), { ...at, w: 1, h: 1 }, 'figure'),
			dayField(setting, { ...at, w: 1, h: 1 }, { item, day }, 'mark')
		);
	}
	marks.push(...grid({ x: free, y: 0 }, { w: 1, h: 1 }, first, 1));
	if (rows > 1) marks.push(...grid({ x: 0, y: 1 }, { w: 1, h: 1 }, across, rows - 1));
	// The name's squares are closed, so that the strip is one block.
	return [...marks, line(0, 0, free, 0), line(0, 0, 0, 1), line(0, 1, free, 1)];
}
