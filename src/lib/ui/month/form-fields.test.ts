import { describe, expect, test } from 'vitest';
import { checked, wishSchema } from '../../core/formats';
import { forms } from '../../core/forms';
import { numberParameters } from './form-fields';

const base = { id: 'x', kind: 'habits' };

describe.each(numberParameters.map((parameter) => [parameter.label, parameter] as const))(
	'%s',
	(_, parameter) => {
		test('is read back as it was set, and can be left to the form again', () => {
			for (const value of [parameter.least, parameter.most]) {
				const wish = { ...base, ...parameter.set(value) };
				expect(parameter.value(wish)).toBe(value);
				// What a field lets through, the server takes.
				expect(checked(wishSchema, wish).ok).toBe(true);
			}
			expect(parameter.value({ ...base, ...parameter.set(undefined) })).toBeUndefined();
		});
	}
);

test('every number that a form reads can be set', () => {
	const asked = new Set(numberParameters.map(({ name }) => name));
	const elsewhere = new Set([
		'title',
		'titleStyle',
		'text',
		'items',
		'columns',
		'parts',
		'levels',
		'goals',
		'events',
		'overflow',
		'shape',
		'cell',
		'note',
		'marking',
		'showGoals'
	]);
	for (const form of forms)
		for (const field of form.fields)
			expect(asked.has(field) || elsewhere.has(field), `${form.id}: ${field}`).toBe(true);
});
