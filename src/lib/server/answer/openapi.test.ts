import { createConfig, lintFromString } from '@redocly/openapi-core';
import Ajv2020 from 'ajv/dist/2020.js';
import { expect, test } from 'vitest';
import { openApi, requests } from './openapi';

const described = openApi('1.0.0');

test('the API’s description is OpenAPI 3.1 without a fault', async () => {
	const config = await createConfig({
		rules: {
			struct: 'error',
			'no-unresolved-refs': 'error',
			'operation-operationId-unique': 'error'
		}
	});
	const problems = await lintFromString({ source: JSON.stringify(described), config });
	expect(problems.map(({ message, location }) => `${location[0]?.pointer} ${message}`)).toEqual([]);
});

test('its schemas take its examples, and nothing else', () => {
	const ajv = new Ajv2020({ strict: false });
	ajv.addSchema(described, 'api');
	for (const { path, schema, example } of requests) {
		if (!['plan', 'tally', 'workOrder'].some((name) => path.endsWith(name))) continue;
		const absolute = JSON.parse(JSON.stringify(schema).replaceAll('"#/', '"api#/')) as object;
		expect(ajv.validate(absolute, example), `${path} ${ajv.errorsText()}`).toBe(true);
		expect(ajv.validate(absolute, { nothing: true }), path).toBe(false);
	}
});
