import { holdings, subjectOf } from '../draw';
import { readValue } from '../records';
import { list, missing, oneOf, record, shown, words } from './rules';

/** More than anybody fills in at once. */
const mostChanges = 20_000;

const about = words(1000).test('subject', function (value) {
	if (value === undefined || subjectOf(value)) return true;
	return this.createError({
		message: `must say what it is about, such as item=Walk&day=3; it is ${shown(value)}`
	});
});

/** What was filled in of a month; an empty value takes an entry away. */
export const entriesSchema = list(
	record({
		wish: words(100).required(missing),
		about: about.defined(missing),
		holds: oneOf(holdings).required(missing),
		value: words(2000).defined(missing)
	})
		.required(missing)
		.test('value', function (change) {
			const kind = holdings.find((name) => name === change.holds);
			if (!kind || typeof change.value !== 'string') return true;
			const read = readValue(kind, change.value, { locale: 'en' });
			if (read.ok && read.value === change.value.trim()) return true;
			return this.createError({
				path: `${this.path}.value`,
				message: read.ok ? `must be in its plain form, ${shown(read.value)}` : read.says
			});
		}),
	0,
	mostChanges
).required(missing);

/** Changes to what was filled in of a month, as the screens send them. */
export const changesSchema = record({ changes: entriesSchema }).required(missing);
