import { monthNames, weekdayNames, type NameWidth } from '../../month';
import type { Setting } from '../form/form';

/** What columns or boxes stand for. */
type Named = 'parts' | 'weekdays' | 'months';

/** Names of a wish's parts, or usual ones where it names none. */
export function partsOf({ content }: Setting, usual: readonly string[]): readonly string[] {
	return content.parts && content.parts.length > 0 ? content.parts : usual;
}

/** Names of what stands side by side: parts, or the days of a week or the twelve months in the person's language. */
export function partNames(
	named: Named,
	setting: Setting,
	width: NameWidth,
	usual: readonly string[]
): readonly string[] {
	switch (named) {
		case 'months':
			return monthNames(setting.locale, width);
		case 'weekdays':
			return weekdayNames(setting.locale, setting.month.weekStart, width);
		case 'parts':
			return partsOf(setting, usual);
	}
}
