import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { often } from '../../../../tests/support/effort';
import { anyPlan } from '../../../../tests/support/arbitraries';
import { planSchema, readJson, toDocument } from '.';

type Description = ReturnType<typeof planSchema.describe>;
type Field = Description['fields'][string];

/** A field with a default, by its path; `[]` stands for every entry of a list. */
interface Default {
	readonly path: readonly string[];
	readonly value: unknown;
}

/** Every field of a schema that has a default, at any depth. */
function defaultsIn(field: Field, path: readonly string[] = []): Default[] {
	const own =
		path.length > 0 && 'default' in field && field.default !== undefined
			? [{ path, value: field.default }]
			: [];
	const fields = 'fields' in field ? Object.entries(field.fields) : [];
	const inner = 'innerType' in field ? [field.innerType].flat() : [];
	return [
		...own,
		...fields.flatMap(([name, below]) => defaultsIn(below, [...path, name])),
		...inner.flatMap((below) => (below ? defaultsIn(below as Field, [...path, '[]']) : []))
	];
}

type Holder = Record<string, unknown>;

/** The objects of a document that hold, or could hold, the last field of a path. */
function holders(value: unknown, [name, ...rest]: readonly string[]): Holder[] {
	if (name === undefined || typeof value !== 'object' || value === null) return [];
	if (name === '[]') return Array.isArray(value) ? value.flatMap((one) => holders(one, rest)) : [];
	const holder: Holder = Object(value);
	return rest.length === 0 ? [holder] : holders(holder[name], rest);
}

const all = defaultsIn(planSchema.describe());

describe('defaults', () => {
	test('are found at every depth', () => {
		expect(all.map(({ path }) => path.join('.'))).toEqual(
			expect.arrayContaining([
				'aim',
				'weekStart',
				'hand',
				'hand.lineHeight',
				'notebook.gutter',
				'wishes.[].weeks.pagesPerWeek'
			])
		);
	});

	test('a field left out is its default written out, whichever of them are left out', () => {
		fc.assert(
			fc.property(anyPlan, fc.subarray(all), (plan, chosen) => {
				const document = toDocument(plan);
				const weeks = { id: 'weeks of it', kind: 'weekly-pages', weeks: {} };
				const left: unknown = JSON.parse(
					JSON.stringify({ ...document, wishes: [...document.wishes, weeks] })
				);
				const written: unknown = structuredClone(left);
				for (const { path, value } of chosen) {
					const name = path.at(-1) ?? '';
					for (const holder of holders(left, path)) Reflect.deleteProperty(holder, name);
					for (const holder of holders(written, path)) holder[name] = structuredClone(value);
				}
				const read = readJson(planSchema, JSON.stringify(left));
				expect(read).toEqual(readJson(planSchema, JSON.stringify(written)));
				expect(read.ok).toBe(true);
			}),
			{ numRuns: often(200) }
		);
	});
});
