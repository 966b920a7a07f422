import { box } from './box';
import { cover } from './cover';
import type { Form } from './form';
import { miniCalendar } from './mini-calendar';
import { miniCalendarSet } from './mini-calendar-set';
import { monthGrid } from './month-grid';
import { quote } from './quote';
import { title } from './title';

export * from './form';
export * from './wish';

/** Every way a page can be ruled. */
export const forms: readonly Form[] = [
	cover,
	monthGrid,
	miniCalendar,
	miniCalendarSet,
	box,
	quote,
	title
];

const byId = new Map(forms.map((form) => [form.id, form]));

/** The form with this id, if there is one. */
export function formById(id: string): Form | undefined {
	return byId.get(id);
}
