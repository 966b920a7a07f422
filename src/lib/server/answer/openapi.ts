import { jsonSchema, planSchema } from '$lib/core/formats';
import demo from '../../../../demo/month.json';
import { recordsBodies } from './records-answers';

/** A request with an example that the tests send. */
interface Described {
	readonly path: string;
	readonly id: string;
	readonly summary: string;
	readonly schema: object;
	readonly example: unknown;
	/** Content types of the answer. */
	readonly gives: readonly string[];
	readonly query?: readonly Query[];
}

interface Query {
	readonly name: string;
	readonly says: string;
	readonly example?: string;
}

/** Which sizes of things are tried. */
const sizesQuery: Query = {
	name: 'sizes',
	says: 'usual, united (without a word) or every: more sizes of things are tried, and it takes longer'
};

const bare = (schema: object) => {
	const { $schema: _, $id: __, title: ___, ...rest } = schema as Record<string, unknown>;
	return rest;
};
/** It is long, and stands in the document once. */
const plan = { $ref: '#/components/schemas/Plan' };

function of(name: keyof typeof recordsBodies) {
	const schema = bare(jsonSchema(recordsBodies[name], `urn:horarium:${name}:1`, name));
	const { properties } = schema;
	return { ...schema, properties: { ...(properties as object), plan } };
}

const habit = (day: number) => ({
	wish: 'habits',
	about: `item=Concertina&day=${day}`,
	holds: 'mark',
	value: 'x'
});
const entries = [1, 2, 5].map(habit);

/** All requests of the open API that take a document. */
export const requests: readonly Described[] = [
	{
		path: '/api/v1/plan',
		id: 'plan',
		summary: 'The run: pages, blocks, facts, sums',
		schema: plan,
		example: demo,
		gives: ['application/json'],
		query: [{ name: 'include', says: 'a comma list of marks, remedies' }, sizesQuery]
	},
	{
		path: '/api/v1/plan.pdf',
		id: 'pdf',
		summary: 'The pages at true size',
		schema: plan,
		example: demo,
		gives: ['application/pdf'],
		query: [
			{ name: 'sheet', says: 'a4 or letter: two pages on a sheet, with crop marks' },
			{ name: 'page', says: 'one page of the notebook' },
			{ name: 'only', says: 'lines or stencil' },
			sizesQuery
		]
	},
	{
		path: '/api/v1/plan.svg',
		id: 'svg',
		summary: 'One page in millimetres',
		schema: plan,
		example: demo,
		gives: ['image/svg+xml'],
		query: [
			{ name: 'page', says: 'a page of the notebook', example: '64' },
			{ name: 'only', says: 'lines or stencil' },
			sizesQuery
		]
	},
	{
		path: '/api/v1/guide',
		id: 'guide',
		summary: 'The counting guide of each page',
		schema: plan,
		example: demo,
		gives: ['application/json', 'text/plain'],
		query: [sizesQuery]
	},
	{
		path: '/api/v1/tally',
		id: 'tally',
		summary: 'What was kept, added up, thing by thing',
		schema: of('tally'),
		example: { plan: demo, entries, until: 9 },
		gives: ['application/json']
	},
	{
		path: '/api/v1/review',
		id: 'review',
		summary: 'What the next month should hold, each with its reason',
		schema: of('review'),
		example: { plan: demo, entries },
		gives: ['application/json']
	},
	{
		path: '/api/v1/work-order',
		id: 'workOrder',
		summary: 'The sittings in which the month is made, their tasks in order',
		schema: of('work-order'),
		example: { plan: demo, today: '2027-04-20' },
		gives: ['application/json'],
		query: [sizesQuery]
	}
];

const problem = {
	description: 'What is wrong, field by field (RFC 9457)',
	content: {
		'application/problem+json': {
			schema: {
				type: 'object',
				required: ['title', 'status', 'detail'],
				properties: {
					type: { type: 'string' },
					title: { type: 'string' },
					status: { type: 'integer' },
					detail: { type: 'string' },
					errors: {
						type: 'array',
						items: {
							type: 'object',
							required: ['path', 'message'],
							properties: { path: { type: 'string' }, message: { type: 'string' } }
						}
					}
				}
			}
		}
	}
};

const media = (type: string) => ({
	[type]: {
		schema: type === 'application/json' ? { type: 'object' } : { type: 'string' }
	}
});

/** The open API as an OpenAPI 3.1 document, made of the schemas that check its requests. */
export function openApi(version: string): object {
	const ofRequest = ({ id, summary, schema, example, gives, query = [] }: Described) => ({
		post: {
			operationId: id,
			summary,
			security: [],
			...(query.length > 0
				? {
						parameters: query.map(({ name, says, example }) => ({
							name,
							in: 'query',
							description: says,
							schema: { type: 'string' },
							...(example ? { example } : {})
						}))
					}
				: {}),
			requestBody: { required: true, content: { 'application/json': { schema, example } } },
			responses: {
				200: { description: summary, content: Object.assign({}, ...gives.map(media)) as object },
				400: problem,
				413: problem,
				415: problem,
				422: problem,
				503: problem
			}
		}
	});
	const get = (operationId: string, summary: string) => ({
		get: {
			operationId,
			summary,
			security: [],
			responses: { 200: { description: summary, content: media('application/json') }, 503: problem }
		}
	});
	return {
		openapi: '3.1.0',
		info: {
			title: 'Horarium',
			version,
			summary: 'Plans hand-drawn dot-grid months; nothing that is sent is stored.',
			license: { name: 'MIT', identifier: 'MIT' }
		},
		servers: [{ url: '/' }],
		components: { schemas: { Plan: bare(jsonSchema(planSchema, 'urn:horarium:plan:1', 'Plan')) } },
		paths: {
			'/api/v1/health': get('health', 'Whether it is well, and its version'),
			'/api/v1/plan.schema.json': get('planSchema', 'The JSON Schema of plan documents'),
			...Object.fromEntries(requests.map((request) => [request.path, ofRequest(request)]))
		}
	};
}
