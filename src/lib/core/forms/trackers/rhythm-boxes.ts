import { nameSide, titleStyle } from '../form/common-rules';
import { field, grid, text, type FieldMark, type Mark, type Subject } from '../../draw';
import { cellOf } from '../../month';
import { pageForm, type Setting } from '../form/form';
import { itemNames, itemsOf, labelsOf, rhythmOf, sectionsOf } from '../parts/labels';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';
import type { Item } from '../form/content';

/** Days of the month in each row of its grid. */
function daysByWeek({ month }: Setting): number[] {
	const counts = Array.from({ length: month.weeks }, () => 0);
	for (let day = 1; day <= month.days; day++) {
		const { row } = cellOf(month, day);
		counts[row] = (counts[row] ?? 0) + 1;
	}
	return counts;
}

/** Boxes of a habit, gathered as they are ruled: by week where the rhythm is weekly. */
export function boxesOf(item: Item, setting: Setting): number[] {
	const weeks = daysByWeek(setting);
	switch (rhythmOf(item)) {
		case 'monthly':
			return [1];
		case 'times-a-week':
			return weeks.map((days) => Math.min(days, item.upTo ?? item.goal ?? 3));
		case 'daily':
		case 'threshold':
			return weeks;
		case 'times-a-day':
			return weeks.map((days) => days * Math.min(3, item.goal ?? 2));
		case 'now-and-then':
			return [Math.min(12, item.goal ?? 4)];
		case 'weekly':
			return weeks.map(() => 1);
	}
}

/** Width of a row of boxes: groups of several are a square apart, single boxes touch. */
function rowWidth(groups: readonly number[]): number {
	const apart = groups.some((count) => count > 1) ? groups.length - 1 : 0;
	return groups.reduce((sum, count) => sum + count, 0) + apart;
}

/** Rows of all items, a square apart, those of a group below its name. */
function rowsOf(setting: Setting): ({ readonly heading: string } | { readonly index: number })[] {
	let next = 0;
	return sectionsOf(setting).flatMap(({ heading, items }) => [
		...(heading ? [{ heading }] : []),
		...items.map(() => ({ index: next++ }))
	]);
}

/**
 * A row of boxes for each habit by its rhythm: a box a week, one a month, n a week (no more than the
 * week has days in the month). Rows are a square apart, groups stand under their names. (Common practice.)
 */
export const rhythmBoxes = pageForm({
	id: 'rhythm-boxes',
	name: 'Boxes by rhythm',
	content: ['title', 'items'],
	rules: [titleStyle, nameSide],
	layouts: (setting, there) => {
		const items = itemsOf(setting);
		const top = titleRows(setting);
		const rows = rowsOf(setting);
		const kept = itemNames(setting);
		const groups = items.map((item) => boxesOf(item, setting));
		const widest = Math.max(...groups.map(rowWidth));
		return labelsOf(setting).map((labels) => {
			const size = { w: labels.width + 1 + widest, h: top + 2 * rows.length - 1 };
			const [nameAt, boxesAt] =
				nameSide.of(setting) === 'left' ? [0, labels.width + 1] : [widest + 1, 0];
			return {
				size,
				discomfort: labels.discomfort,
				facts: {
					rows: items.length,
					label: labels.width,
					weeks: setting.month.weeks,
					title: top,
					capacity: groups.flat().reduce((sum, count) => sum + count, 0)
				},
				why: [
					`labels ${labels.width} + 1 + boxes ${widest} = ${size.w} of ${there.w} across`,
					`${titleSum(top)}${rows.length} rows, 1 apart = ${size.h} of ${there.h} down`,
					...items.map((item, index) => `${item.name}: ${(groups[index] ?? []).join(' + ')} boxes`)
				],
				marks: () => [
					...titleMarks(setting, size.w, false),
					...rows.flatMap((row, place): Mark[] => {
						const y = top + 2 * place;
						if ('heading' in row)
							return [text(row.heading, { x: 0, y, w: size.w, h: 1 }, 'hand', 'start')];
						const name = labels.labels[row.index] ?? '';
						return [
							text(name, { x: nameAt, y, w: labels.width, h: 1 }, 'hand', 'start'),
							...boxRow(groups[row.index] ?? [], boxesAt, y),
							...boxFields(
								setting,
								items[row.index],
								kept[row.index] ?? '',
								groups[row.index] ?? [],
								boxesAt,
								y
							)
						];
					})
				]
			};
		});
	}
});

function boxRow(groups: readonly number[], x: number, y: number): Mark[] {
	const apart = groups.some((count) => count > 1) ? 1 : 0;
	let at = x;
	return groups.flatMap((count) => {
		const marks = grid({ x: at, y }, { w: 1, h: 1 }, count, 1);
		at += count + apart;
		return count > 0 ? marks : [];
	});
}

/** What each box of a habit is for: a day, a week, or the next of several times. */
function boxFields(
	setting: Setting,
	item: Item | undefined,
	name: string,
	groups: readonly number[],
	x: number,
	y: number
): FieldMark[] {
	const apart = groups.some((count) => count > 1) ? 1 : 0;
	const rhythm = item ? rhythmOf(item) : 'daily';
	const days = daysByWeek(setting);
	let at = x;
	let before = 0;
	return groups.flatMap((count, index) => {
		const [from, first] = [at, before];
		at += count + apart;
		before += days[index] ?? 0;
		return Array.from({ length: count }, (_, nth) => {
			const each = count / Math.max(1, days[index] ?? 1);
			const about: Subject =
				rhythm === 'monthly' || rhythm === 'now-and-then'
					? { item: name, nth: nth + 1 }
					: rhythm === 'daily' || rhythm === 'threshold'
						? { item: name, day: first + nth + 1 }
						: rhythm === 'times-a-day'
							? {
									item: name,
									day: first + Math.floor(nth / each) + 1,
									nth: (nth % each) + 1
								}
							: rhythm === 'weekly'
								? { item: name, week: index + 1 }
								: { item: name, week: index + 1, nth: nth + 1 };
			return field({ x: from + nth, y, w: 1, h: 1 }, about, 'mark');
		});
	});
}
