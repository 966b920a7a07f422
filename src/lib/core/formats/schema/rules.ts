import * as yup from 'yup';
import { cleanText } from './clean-text';

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
 * A schema that takes values as they are: Yup would read a number out of a text, JSON out of a text, and call
 * whatever an object has for `toString`. (`strict` would do the same and silence every default below it.)
 */
function literal<S extends yup.AnySchema>(schema: S, read?: (original: unknown) => unknown): S {
	const plain = schema.clone();
	plain.transforms = read ? [(_, original: unknown) => read(original)] : [];
	return plain;
}

/** A whole number inside limits. */
export function whole(least: number, most: number) {
	const range = least === most ? `${least}` : `a whole number from ${least} to ${most}`;
	const message = (told: Told) => `must be ${range}; it is ${got(told)}`;
	return literal(yup.number())
		.typeError(message)
		.integer(message)
		.min(least, message)
		.max(most, message);
}

/** A number inside limits, in millimetres unless the field says otherwise. */
export function measure(least: number, most: number, unit = 'mm') {
	const message = (told: Told) =>
		`must be a number from ${least} to ${most}${unit ? ` ${unit}` : ''}; it is ${got(told)}`;
	return literal(yup.number()).typeError(message).min(least, message).max(most, message);
}

/** A text of limited length, rid of what no pen can write (see `cleanText`). */
export function words(most: number) {
	return literal(yup.string(), (original) =>
		typeof original === 'string' ? cleanText(original) : original
	)
		.typeError((told: Told) => `must be a text; it is ${got(told)}`)
		.test('written', 'holds nothing that a pen can write', (value, { originalValue }) =>
			value === '' ? typeof originalValue !== 'string' || originalValue.trim() === '' : true
		)
		.max(most, `must have at most ${most} characters`);
}

/** One of a few words. */
export function oneOf<const T extends string>(values: readonly T[]) {
	const message = (told: Told) => `must be one of ${values.join(', ')}; it is ${got(told)}`;
	return yup
		.mixed<T>((value): value is T => typeof value === 'string')
		.typeError(message)
		.oneOf(values, message);
}

/** One of a few numbers. */
export function number<const T extends number>(values: readonly T[]) {
	const message = (told: Told) => `must be one of ${values.join(', ')}; it is ${got(told)}`;
	return yup
		.mixed<T>((value): value is T => typeof value === 'number')
		.typeError(message)
		.oneOf(values, message);
}

/** A yes or no. */
export function flag() {
	return literal(yup.boolean()).typeError(
		(told: Told) => `must be true or false; it is ${got(told)}`
	);
}

/** Stands before the name of a field that is not known; no field and no object's inheritance has it. */
const unknownMark = '?';

/** An object with known fields; others are refused by name. `read` puts an older form of it into the present one. */
export function record<T extends yup.ObjectShape>(
	fields: T,
	read: (original: unknown) => unknown = (original) => original
) {
	return (
		literal(yup.object(fields))
			.default(undefined)
			// The schema's fields and not ours: it may have been given more of them since.
			.transform((_, original: unknown, schema) => marked(schema.fields, read(original)))
			.typeError((told: Told) => `must be an object; it is ${got(told)}`)
			.test('plain', 'must be an object', (value) => value === undefined || !Array.isArray(value))
			.test('known', function (value) {
				const unknown = Object.keys(value ?? {}).find((name) => name.startsWith(unknownMark));
				if (unknown === undefined) return true;
				const name = unknown.slice(unknownMark.length);
				return this.createError({
					path: [this.path, name].filter(Boolean).join('.'),
					message: `is not known here; known are ${Object.keys(fields).join(', ')}`
				});
			})
	);
}

/**
 * An object's own entries, those without a field marked; what is no object is left to the type check. Yup would look
 * up an entry called `valueOf` among the fields and find the function that every object inherits.
 */
function marked(fields: object, original: unknown): unknown {
	if (typeof original !== 'object' || original === null || Array.isArray(original)) return original;
	return Object.fromEntries(
		Object.entries(original).map(([name, value]) => [
			Object.hasOwn(fields, name) ? name : unknownMark + name.slice(0, 100),
			value
		])
	);
}

/** Stands for a list that is too long, so that nobody looks into it. */
const tooLongList = Symbol('too long');

/**
 * A list of limited length; one that is too long is refused before any of its entries is looked at. With
 * `single` one entry may stand for a list of it.
 */
export function list<T>(
	of: yup.ISchema<T, yup.AnyObject>,
	least: number,
	most: number,
	{ single = false } = {}
) {
	const tooLong = (length: number) => `must have at most ${most} entries; it has ${length}`;
	const read = (original: unknown) => {
		if (Array.isArray(original)) return original.length > most ? tooLongList : original;
		return single && original !== undefined && original !== null ? [original] : original;
	};
	return literal(yup.array().of(of), read)
		.typeError((told: Told) =>
			Array.isArray(told.originalValue)
				? tooLong(told.originalValue.length)
				: `must be a list; it is ${got(told)}`
		)
		.min(least, `must have at least ${least} ${least === 1 ? 'entry' : 'entries'}`)
		.max(most, ({ value }) => tooLong(Array.isArray(value) ? value.length : 0))
		.meta(single ? { single } : {});
}

/** Says of a required field that it is missing. */
export const missing = 'is missing';
