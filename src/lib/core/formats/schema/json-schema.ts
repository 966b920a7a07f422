import type { SchemaDescription, SchemaFieldDescription } from 'yup';

/** A JSON Schema (draft 2020-12) as far as this project needs it. */
export interface JsonSchema {
	readonly [keyword: string]: unknown;
}

/**
 * The JSON Schema that says the same as a Yup schema, for the rules this project uses: types, limits,
 * choices, required fields, lists that may be a single entry. Rules that compare fields (a grid on
 * its page) cannot be said in JSON Schema and are left to the server.
 */
export function jsonSchema(
	schema: { describe(): SchemaFieldDescription },
	id: string,
	title: string
): JsonSchema {
	return {
		$schema: 'https://json-schema.org/draft/2020-12/schema',
		$id: id,
		title,
		...describe(schema.describe())
	};
}

function describe(description: SchemaFieldDescription): JsonSchema {
	const found = description as SchemaDescription;
	switch (description.type) {
		case 'object':
			return describeObject(description);
		case 'array':
			return describeArray(description);
		case 'number':
			return {
				type: has(found, 'integer') ? 'integer' : 'number',
				...limits(found, 'minimum', 'maximum')
			};
		case 'string':
			return { type: 'string', ...limits(found, 'minLength', 'maxLength') };
		case 'boolean':
			return { type: 'boolean' };
		default:
			return { enum: [...found.oneOf] };
	}
}

function describeObject(description: SchemaFieldDescription): JsonSchema {
	const fields = 'fields' in description ? description.fields : {};
	const required = Object.entries(fields)
		.filter(([, field]) => isRequired(field))
		.map(([name]) => name);
	return {
		type: 'object',
		properties: Object.fromEntries(
			Object.entries(fields).map(([name, field]) => [name, describe(field)])
		),
		...(required.length > 0 ? { required } : {}),
		additionalProperties: false
	};
}

function describeArray(description: SchemaFieldDescription): JsonSchema {
	const inner = 'innerType' in description ? description.innerType : undefined;
	const one = inner && !Array.isArray(inner) ? describe(inner as SchemaFieldDescription) : {};
	const array = {
		type: 'array',
		items: one,
		...limits(description as SchemaDescription, 'minItems', 'maxItems')
	};
	const single = 'meta' in description && description.meta && 'single' in description.meta;
	return single ? { anyOf: [one, array] } : array;
}

function isRequired(field: SchemaFieldDescription): boolean {
	return (
		'optional' in field && !field.optional && !('default' in field && field.default !== undefined)
	);
}

function has(description: SchemaDescription, name: string): boolean {
	return description.tests.some((test) => test.name === name);
}

function limits(description: SchemaDescription, least: string, most: string): JsonSchema {
	const result: Record<string, unknown> = {};
	for (const { name, params } of description.tests) {
		if (name === 'min' && params) result[least] = params.min;
		if (name === 'max' && params) result[most] = params.max;
	}
	return result;
}
