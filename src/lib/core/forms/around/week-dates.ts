import type { Form, Setting } from '../form/form';
import { shortDatesOfWeek } from '../weeks/week';

/** A form that has the dates of its week in its title where it comes every week. */
export function withWeekDates(form: Form): Form {
	return { ...form, layouts: (setting, room) => form.layouts(dated(setting), room) };
}

function dated(setting: Setting): Setting {
	const { part, content } = setting;
	if (!part || !content.title) return setting;
	const title = `${content.title} ${shortDatesOfWeek(setting)}`;
	return { ...setting, content: { ...content, title } };
}
