import Ajv2020 from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { checked, planSchema, toDocument } from '../../src/lib/core/formats';
import { anyPlan, documentWith } from '../support/arbitraries';
import { readPdf } from '../support/read-pdf';
import { readSvg } from '../support/read-svg';
import { asked } from '../support/asked';
import { often } from '../support/effort';
import { type App, startApp } from './app';

let app: App;
beforeAll(async () => {
	app = await startApp('start');
});
afterAll(() => app.stop());

const post = (path: string, body: string, headers: Record<string, string> = {}) =>
	asked(`${app.address}${path}`, {
		method: 'POST',
		body,
		// What is never answered is told with what was asked.
		signal: AbortSignal.timeout(60_000),
		headers: { 'content-type': 'application/json', ...headers }
	});
const plan = (document: unknown, query = '') =>
	post(`/api/v1/plan${query}`, JSON.stringify(document));

const demo = documentWith([
	{ id: 'cover', kind: 'cover', importance: 'must', title: 'MAY' },
	{
		id: 'cal',
		kind: 'month-calendar',
		form: 'month-grid',
		span: 'spread',
		rules: { 'month-grid': { cell: { w: 6, h: 6 } } }
	},
	{ id: 'dump', kind: 'brain-dump', filler: true }
]);

describe('the API', () => {
	test('says that it is well', async () => {
		const response = await fetch(`${app.address}/api/v1/health`);
		expect(await response.json()).toEqual({ status: 'ok', version: expect.any(String) });
	});

	test('tries the sizes that it is asked for, and says which', async () => {
		const told = async (query: string) => (await (await plan(demo, query)).json()).run;
		expect(await told('')).toMatchObject({ sizes: 'united', optimal: false, bound: 0 });
		const every = await told('?sizes=every');
		expect(every).toMatchObject({ sizes: 'every', optimal: true });
		const sheets = ['plan.pdf', 'guide'].map((name) =>
			post(`/api/v1/${name}?sizes=every`, JSON.stringify(demo))
		);
		for (const sheet of await Promise.all(sheets)) expect(sheet.status).toBe(200);
		const wrong = await plan(demo, '?sizes=all');
		expect(wrong.status).toBe(400);
		expect((await wrong.json()).errors[0].message).toBe(
			'must be usual or united or every; it is “all”'
		);
	});

	test('plans a month', async () => {
		const response = await plan(demo, '?include=marks');
		expect(response.status).toBe(200);
		const { run } = await response.json();
		expect(
			run.pages.map(({ number, side }: { number: number; side: string }) => [number, side])
		).toEqual([
			[12, 'left'],
			[13, 'right'],
			[14, 'left'],
			[15, 'right'],
			[16, 'left']
		]);
		expect(run.pages[2].blocks[0]).toMatchObject({
			wish: 'cal',
			rect: { x: 4, y: 0, w: 24, h: 37 },
			facts: { cell: { w: 6, h: 6 }, split: [4, 3], over: [4, 10], weeks: 6, lead: 5 }
		});
		expect(run.pages[2].blocks[0].marks).toContainEqual({
			kind: 'line',
			x1: 4,
			y1: 0,
			x2: 28,
			y2: 0
		});
		expect(run).toMatchObject({ pagesUsed: 5, unplaced: [] });
	});

	test('puts two pages on a sheet, and says so when they do not fit', async () => {
		const small = documentWith([{ id: 'cover', kind: 'cover' }], {
			notebook: { ...demo.notebook, pageMm: { width: 130, height: 205 }, columns: 24, rows: 38 }
		});
		const fits = await post('/api/v1/plan.pdf?sheet=letter', JSON.stringify(small));
		const { pages } = await readPdf(new Uint8Array(await fits.arrayBuffer()));
		expect(pages[0]?.widthMm).toBeCloseTo(279.4, 2);
		for (const query of ['sheet=letter', 'sheet=a3', 'only=dots']) {
			const answer = await post(`/api/v1/plan.pdf?${query}`, JSON.stringify(demo));
			expect(answer.status).toBe(400);
			const { errors } = await answer.json();
			expect(errors[0].path).toBe(query.split('=')[0]);
		}
	});

	test('guides the hand, in numbers and in words', async () => {
		const response = await post('/api/v1/guide', JSON.stringify(demo));
		expect(response.status).toBe(200);
		const { pages } = await response.json();
		expect(pages.map(({ page }: { page: number }) => page)).toEqual([12, 13, 14, 15, 16]);
		expect(pages[2].steps[0]).toMatchObject({
			kind: 'rule',
			begin: { count: { across: 0, down: 0 } }
		});
		expect(pages[2].checks).toContain('The 1st is a Saturday.');
		const plain = await post('/api/v1/guide', JSON.stringify(demo), { accept: 'text/plain' });
		const words = await plain.text();
		expect(words).toContain('Page 14');
		expect(words).toContain(pages[2].steps[0].sentence);
	});

	test('draws it at true size', async () => {
		const response = await post('/api/v1/plan.pdf', JSON.stringify(demo));
		expect(response.headers.get('content-type')).toBe('application/pdf');
		const { pages } = await readPdf(new Uint8Array(await response.arrayBuffer()));
		expect(pages).toHaveLength(5);
		expect(pages[0]?.widthMm).toBeCloseTo(148, 2);
		expect(pages[0]?.heightMm).toBeCloseTo(210, 2);
	});

	test('draws a page as an SVG in mm, and says which pages there are', async () => {
		const response = await post('/api/v1/plan.svg?page=13', JSON.stringify(demo));
		expect(response.headers.get('content-type')).toBe('image/svg+xml');
		const { widthMm, heightMm, dots } = readSvg(await response.text());
		expect([widthMm, heightMm, dots.length]).toEqual([148, 210, 29 * 41]);
		for (const query of ['page=99', 'only=dots']) {
			const answer = await post(`/api/v1/plan.svg?${query}`, JSON.stringify(demo));
			expect(answer.status).toBe(400);
			expect((await answer.json()).errors[0].path).toBe(query.split('=')[0]);
		}
	});

	test.each([
		['broken JSON', '{"format":', 400],
		['not UTF-8', '\ud800', 400],
		['an empty body', '', 400],
		['a list', '[]', 400],
		['deep nesting', '['.repeat(200_000), 400],
		['201 wishes', JSON.stringify(documentWith(Array(201).fill({ kind: 'cover' }))), 400],
		['5 MB', ' '.repeat(5_000_000), 413]
	])('refuses %s and goes on', async (_, body, status) => {
		for (const path of ['/api/v1/plan', '/api/v1/plan.pdf', '/api/v1/plan.svg', '/api/v1/guide']) {
			const response = await post(path, body);
			expect(response.status).toBe(status);
			expect(response.headers.get('content-type')).toBe('application/problem+json');
			expect(await response.json()).toMatchObject({ status, title: expect.any(String) });
		}
		expect((await plan(demo)).status).toBe(200);
	});

	test('names the field that is wrong', async () => {
		const response = await plan(
			documentWith([
				{ id: 'a', kind: 'cover' },
				{ id: 'b', kind: 'cover' },
				{ id: 'c', kind: 'cover', size: { w: -3, h: 4 } }
			])
		);
		expect((await response.json()).errors).toEqual([
			{ path: 'wishes[2].size.w', message: 'must be a whole number from 1 to 300; it is -3' }
		]);
	});

	test('refuses foreign hosts and foreign pages', async () => {
		const foreign = await post('/api/v1/plan', JSON.stringify(demo), {
			origin: 'http://elsewhere.example'
		});
		expect(foreign.status).toBe(403);
	});
});

test('random requests never break the server', async () => {
	await fc.assert(
		fc.asyncProperty(
			fc.oneof(
				fc.json(),
				fc.tuple(anyPlan, fc.nat(), fc.jsonValue()).map(([plan, at, value]) => {
					const document: unknown = JSON.parse(JSON.stringify(toDocument(plan)));
					const places = leaves(document);
					places[at % places.length]?.(value);
					return JSON.stringify(document);
				})
			),
			async (body) => {
				const response = await post('/api/v1/plan?include=marks', body);
				expect([200, 400]).toContain(response.status);
				await response.json();
			}
		),
		{ numRuns: often(400, 150) }
	);
	const health = await fetch(`${app.address}/api/v1/health`);
	expect(health.status).toBe(200);
});

// Referee: Ajv, a JSON Schema validator.
describe('the published schema', () => {
	test('takes every plan that the program writes, and refuses what the server refuses', async () => {
		const response = await fetch(`${app.address}/api/v1/plan.schema.json`);
		const validate = new Ajv2020({ allErrors: true }).compile(await response.json());
		fc.assert(
			fc.property(anyPlan, (plan) => {
				const document: unknown = JSON.parse(JSON.stringify(toDocument(plan)));
				expect(validate(document)).toBe(true);
				expect(checked(planSchema, document).ok).toBe(true);
			})
		);
		const odd = fc.constantFrom(null, true, 0, -1, 2.5, 1e9, '', 'x', [], {}, 'monday', 'cover');
		fc.assert(
			fc.property(anyPlan, fc.nat(), odd, (plan, at, value) => {
				const document: unknown = JSON.parse(JSON.stringify(toDocument(plan)));
				const places = leaves(document);
				places[at % places.length]?.(value);
				// Rules that compare fields are the server's alone, so it may refuse more.
				if (checked(planSchema, document).ok) expect(validate(document)).toBe(true);
			}),
			{ numRuns: often(500, 150) }
		);
	});
});

/** Setters for every field of a document, at any depth. */
function leaves(value: unknown): ((next: unknown) => void)[] {
	if (typeof value !== 'object' || value === null) return [];
	const holder: Record<string, unknown> = Object(value);
	return Object.keys(holder).flatMap((key) => [
		(next: unknown) => {
			holder[key] = next;
		},
		...leaves(holder[key])
	]);
}

describe('what the API says of itself', () => {
	test('has examples that are answered as it says', async () => {
		const response = await asked(`${app.address}/api/v1/openapi.json`);
		const described = (await response.json()) as {
			paths: Record<string, { post?: Described }>;
		};
		const posts = Object.entries(described.paths).flatMap(([path, { post }]) =>
			post ? [[path, post] as const] : []
		);
		expect(posts).toHaveLength(7);
		for (const [path, { requestBody, parameters = [], responses }] of posts) {
			const query = parameters.flatMap(({ name, example }) =>
				example ? [`${name}=${example}`] : []
			);
			const { example } = requestBody.content['application/json'];
			const answer = await post(
				`${path}${query.length > 0 ? `?${query.join('&')}` : ''}`,
				JSON.stringify(example)
			);
			expect(answer.status, path).toBe(200);
			const type = answer.headers.get('content-type')?.split(';')[0] ?? '';
			expect(Object.keys(responses['200'].content), path).toContain(type);
			await answer.arrayBuffer();
			const refused = await post(path, JSON.stringify({ nothing: true }));
			expect(refused.status, path).toBe(400);
			expect(refused.headers.get('content-type')).toContain('application/problem+json');
		}
	});

	test('tallies, reviews and orders of work are those of the core', async () => {
		const entries = [1, 2, 5].map((day) => ({
			wish: 'h',
			about: `item=Walk&day=${day}`,
			holds: 'mark',
			value: 'x'
		}));
		const document = documentWith([{ id: 'h', kind: 'habits', items: [{ name: 'Walk' }] }]);
		const answered = async (path: string, body: unknown) =>
			(await post(path, JSON.stringify(body))).json();
		const { tallies } = await answered('/api/v1/tally', { plan: document, entries, until: 10 });
		expect(tallies[0].tally.rows[0].tally).toMatchObject({ met: 3, due: 10, longest: 2 });
		const dump = documentWith([{ id: 'd', kind: 'notes' }]);
		const over = [{ wish: 'd', about: '', holds: 'full', value: 'over' }];
		const { proposals } = await answered('/api/v1/review', { plan: dump, entries: over });
		expect(proposals.map(({ id }: { id: string }) => id)).toEqual(['d double']);
		const made = await answered('/api/v1/work-order', { plan: document, today: '2027-04-20' });
		const pages = made.sittings.flatMap(({ pieces }: { pieces: { tasks: { page: number }[] }[] }) =>
			pieces.flatMap(({ tasks }) => tasks.map(({ page }) => page))
		);
		expect(new Set(pages).size).toBeGreaterThan(0);
		const wrong = await post(
			'/api/v1/tally',
			JSON.stringify({ plan: document, entries: [{ ...entries[0], about: 'day=x' }] })
		);
		const { errors } = await wrong.json();
		expect(errors[0].path).toBe('entries[0].about');
	});
});

interface Described {
	readonly parameters?: readonly { readonly name: string; readonly example?: string }[];
	readonly requestBody: {
		readonly content: {
			readonly 'application/json': { readonly example: unknown };
		};
	};
	readonly responses: { readonly 200: { readonly content: object } };
}
