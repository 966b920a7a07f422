import { headed } from '../form/common-rules';
import type { Setting } from '../form/form';
import { numberRule } from '../form/rule';
import { daysOfWeek, type WeekDay } from './week';

export const spare = numberRule({
	name: 'spare',
	label: 'The spare place is number',
	least: 1,
	most: 8,
	more: true,
	chosen: () => 8
});

/** Days of a short week at the month's beginning are earlier than this; those at its end are later. */
const middleDay = 15;

export type Head = 'none' | 'top' | 'place';

/** Where the head of a week stands: where it is asked for, or across the top where the week has a title. */
export function headOf(setting: Setting): Head {
	return headed.of(setting) ?? (setting.content.title ? 'top' : 'none');
}

/** What stands in a place of a week. */
export type Standing =
	| { readonly is: 'day'; readonly day: WeekDay; readonly also?: WeekDay }
	| { readonly is: 'spare' }
	| { readonly is: 'head' };

/** What stands in so many places, in order: the last two of seven days share the last of six. */
export function standingIn(setting: Setting, count: number): Standing[] {
	const all = daysOfWeek(setting);
	const days = setting.part?.short ? all.filter(({ inMonth }) => inMonth) : all;
	if (count < days.length) {
		const last = withFoldedDays(setting, days).at(-1);
		return withFoldedDays(setting, days)
			.slice(0, count)
			.map((day, index): Standing => ({
				is: 'day',
				day,
				...(index === count - 1 && last ? { also: last } : {})
			}));
	}
	if (count === days.length)
		return withFoldedDays(setting, days).map((day): Standing => ({ is: 'day', day }));
	const standing = days.map((day): Standing => ({ is: 'day', day }));
	if (headOf(setting) === 'place') return [{ is: 'head' }, ...standing];
	const at = Math.min(count, spare.of(setting) ?? count) - 1;
	return standing.toSpliced(at, 0, { is: 'spare' });
}

/** Days of a week without a spare place: those folded in are written with the day that they lie next to. */
function withFoldedDays(setting: Setting, days: readonly WeekDay[]): readonly WeekDay[] {
	const folded = setting.part?.folded ?? [];
	const before = folded.filter((day) => day < middleDay);
	const after = folded.filter((day) => day >= middleDay);
	return days.map((day, index) => {
		const own = index === 0 ? before : index === days.length - 1 ? after : [];
		return own.length > 0 ? { ...day, with: own } : day;
	});
}
