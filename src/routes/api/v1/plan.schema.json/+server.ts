import { json } from '@sveltejs/kit';
import { jsonSchema, planSchema } from '$lib/core/formats';
import type { RequestHandler } from './$types';

const schema = jsonSchema(planSchema, 'urn:horarium:plan:1', 'Horarium plan document');

export const GET: RequestHandler = () =>
	json(schema, { headers: { 'content-type': 'application/schema+json' } });
