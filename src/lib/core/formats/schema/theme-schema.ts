import { missing, record, shown, words } from './rules';

const colour = words(7).test('colour', function (value) {
	if (value === undefined || /^#[0-9a-f]{6}$/i.test(value)) return true;
	return this.createError({
		message: `must be a colour such as #1d2a3a; it is ${shown(value)}`
	});
});

/** The colours of a month by what they are for. */
export const themeSchema = record({
	motif: words(200),
	lines: colour.required(missing),
	lettering: colour.required(missing),
	rest: colour.required(missing),
	accent: colour.required(missing),
	key: colour.required(missing)
}).default(undefined);
