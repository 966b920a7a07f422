import * as yup from 'yup';

/** Shows a value in an error message without ever printing a whole document. */
export function shown(value: unknown): string {
	if (typeof value === 'string')
		return value.length > 40 ? `“${value.slice(0, 40)}…”` : `“${value}”`;
	if (typeof value === 'number' || typeof value === 'boolean' || value === null)
		return String(value);
	if (Array.isArray(value)) return 'a list';
	return typeof value === 'object' ? 'an object' : 'nothing';
}

type Told = { value?: unknown; originalValue?: unknown };

const got = ({ value, originalValue }: Told) => shown(originalValue ?? value);

/**
 * Undoes what Yup would read into a value (a number in a text, JSON in a text, a text in a number), in
 * lists even where a field is strict: a document means what it says.
 */
const unparsed = (_: unknown, original: unknown) => original;

/** A whole number inside limits. */
export function whole(least: number, most: number) {
	const range = least === most ? `${least}` : `a whole number from ${least} to ${most}`;
	const message = (told: Told) => `must be ${range}; it is ${got(told)}`;
	return yup
		.number()
		.strict()
		.transform(unparsed)
		.typeError(message)
		.integer(message)
		.min(least, message)
		.max(most, message);
}

/** A number inside limits, in millimetres unless the field says otherwise. */
export function measure(least: number, most: number, unit = 'mm') {
	const message = (told: Told) =>
		`must be a number from ${least} to ${most}${unit ? ` ${unit}` : ''}; it is ${got(told)}`;
	return yup
		.number()
		.strict()
		.transform(unparsed)
		.typeError(message)
		.min(least, message)
		.max(most, message);
}

/** A text of limited length. */
export function words(most: number) {
	return yup
		.string()
		.strict()
		.transform(unparsed)
		.typeError((told: Told) => `must be a text; it is ${got(told)}`)
		.max(most, `must have at most ${most} characters`);
}

/** One of a few words. */
export function oneOf<const T extends string>(values: readonly T[]) {
	const message = (told: Told) => `must be one of ${values.join(', ')}; it is ${got(told)}`;
	return yup
		.mixed<T>((value): value is T => typeof value === 'string')
		.strict()
		.typeError(message)
		.oneOf(values, message);
}

/** One of a few numbers. */
export function number<const T extends number>(values: readonly T[]) {
	const message = (told: Told) => `must be one of ${values.join(', ')}; it is ${got(told)}`;
	return yup
		.mixed<T>((value): value is T => typeof value === 'number')
		.strict()
		.typeError(message)
		.oneOf(values, message);
}

/** A yes or no. */
export function flag() {
	return yup
		.boolean()
		.strict()
		.transform(unparsed)
		.typeError((told: Told) => `must be true or false; it is ${got(told)}`);
}

/** An object with known fields; others are left out. */
export function record<T extends yup.ObjectShape>(fields: T) {
	return (
		yup
			.object(fields)
			.default(undefined)
			// The schema's fields and not ours: it may have been given more of them since.
			.transform((_, original: unknown, schema) => onlyKnown(schema.fields, original))
			.typeError((told: Told) => `must be an object; it is ${got(told)}`)
			.test('plain', 'must be an object', (value) => value === undefined || !Array.isArray(value))
	);
}

/**
 * An object's own entries that have a field; what is no object is left to the type check. Yup would look
 * up an entry called `valueOf` among the fields and find the function that every object inherits.
 */
function onlyKnown(fields: object, original: unknown): unknown {
	if (typeof original !== 'object' || original === null || Array.isArray(original)) return original;
	return Object.fromEntries(
		Object.entries(original).filter(([name]) => Object.hasOwn(fields, name))
	);
}

/** A list of limited length. */
export function list<T>(of: yup.ISchema<T, yup.AnyObject>, least: number, most: number) {
	return yup
		.array()
		.of(of)
		.transform(unparsed)
		.typeError((told: Told) => `must be a list; it is ${got(told)}`)
		.min(least, `must have at least ${least} ${least === 1 ? 'entry' : 'entries'}`)
		.max(most, ({ value }) => `must have at most ${most} entries; it has ${length(value)}`);
}

function length(value: unknown): number {
	return Array.isArray(value) ? value.length : 0;
}

/** Says of a required field that it is missing. */
export const missing = 'is missing';
