import { holdings, subjectOf } from '../../draw';
import { readValue } from '../../records';
import { list, missing, oneOf, record, shown, words } from './rules';

/** More than anybody fills in at once. */
const mostChanges = 20_000;

/** An item's and a column's name, each letter of which may take nine signs in an address, and numbers. */
const mostAbout = 6000;

const about = words(mostAbout).test('subject', function (value) {
	if (value === undefined || subjectOf(value)) return true;
	return this.createError({
		message: `must say what it is about, such as item=Walk&day=3; it is ${shown(value)}`
	});
});

const value = () => words(2000).defined(missing);

/** What was filled in of a month; an empty value takes an entry away. */
export const entriesSchema = list(
	record({
		wish: words(100).required(missing),
		about: about.defined(missing),
		holds: oneOf(holdings).required(missing),
		value: value(),
		/** Values that it may replace; whatever stands there where none is said. */
		was: list(value(), 1, 1000)
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

const anyText = () => words(20_000).defined(missing);

/**
 * A change that waits in a browser, of whatever length: whether it can be kept is said by the server, so that it is told and not
 * lost.
 */
export const queuedSchema = record({
	id: words(100).required(missing),
	at: words(40).required(missing),
	change: record({
		wish: anyText(),
		about: anyText(),
		holds: oneOf(holdings).required(missing),
		value: anyText()
	}).required(missing),
	was: list(anyText(), 1, 1000).required(missing)
}).required(missing);
