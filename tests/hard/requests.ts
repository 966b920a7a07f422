import fc from 'fast-check';
import demoMonth from '../../demo/month.json';
import { a5 } from '../support/arbitraries';
import { asked } from '../support/asked';

/** What many odd requests did. */
export interface Asked {
	readonly requests: number;
	/** Answers of the 5xx kind but 503, which is an answer. */
	readonly broken: readonly string[];
	/** Errors that are no problem document. */
	readonly shapeless: readonly string[];
	readonly slowestMs: number;
}

const month = {
	notebookId: 'x',
	month: '2027-08',
	weekStart: 'monday',
	aim: 'balanced',
	wishes: demoMonth.wishes,
	revision: 1
};

/** Addresses, and a body that each of them understands. */
const routes: readonly (readonly [method: string, path: string, body: unknown])[] = [
	['POST', '/api/v1/plan', demoMonth],
	['POST', '/api/v1/plan?include=marks', demoMonth],
	['POST', '/api/v1/plan.pdf', demoMonth],
	['POST', '/api/v1/plan.svg?page=63', demoMonth],
	['POST', '/api/v1/guide', demoMonth],
	['POST', '/app/notebooks', a5],
	['PUT', '/app/notebooks/x', { revision: 1, notebook: a5 }],
	['PATCH', '/app/notebooks/x', { deleted: true }],
	['POST', '/app/months', month],
	['PUT', '/app/months/x', month],
	['PATCH', '/app/months/x', { deleted: true }],
	['POST', '/app/import', { document: demoMonth, notebookId: 'x', withHand: false }],
	['PUT', '/app/hand', { lettersPerSquare: 2 }],
	['PUT', '/app/language', { language: 'en' }],
	['POST', '/app/printers', { name: 'x', acrossMm: 99, downMm: 100 }],
	['POST', '/app/kinds', { name: 'x', wish: { id: 'a', kind: 'cover' } }],
	['PUT', '/app/kinds/x', { name: 'y' }],
	['GET', '/api/v1/plan', undefined],
	['GET', '/app/months/x/plan.pdf', undefined],
	['GET', '/app/nowhere', undefined],
	['DELETE', '/api/v1/plan', undefined]
];

/** Values that nobody expects; functions, because some are large. */
const odd: readonly (() => unknown)[] = [
	() => null,
	() => true,
	() => -1,
	() => 2.5,
	() => 1e308,
	() => 999_999_999,
	() => '',
	() => '\0\ud800',
	() => 'x'.repeat(3000),
	() => [],
	() => ({}),
	() => ({ toString: null, valueOf: 1 }),
	() => [[[[[[]]]]]],
	() => Array.from({ length: 3000 }, () => ({})),
	() => 'monday',
	() => 31
];

/** Setters for every field of a document, at any depth. */
function places(value: unknown): ((next: unknown) => void)[] {
	if (typeof value !== 'object' || value === null) return [];
	const holder: Record<string, unknown> = Object(value);
	return Object.keys(holder).flatMap((key) => [
		(next: unknown) => {
			holder[key] = next;
		},
		...places(holder[key])
	]);
}

interface Request {
	readonly method: string;
	readonly path: string;
	readonly body: string | null;
	readonly type: string;
}

const anyRequest: fc.Arbitrary<Request> = fc
	.record({
		route: fc.constantFrom(...routes),
		changes: fc.array(fc.tuple(fc.nat(), fc.nat(odd.length - 1)), { maxLength: 4 }),
		query: fc.constantFrom('', '', '', '?page=-1', '?only=all', '?x=1', '?include=everything'),
		type: fc.constantFrom(
			'application/json',
			'application/json',
			'application/json; charset=utf-8',
			'text/plain'
		),
		text: fc.option(fc.oneof(fc.json(), fc.string(), fc.constant('['.repeat(100_000))), {
			freq: 6
		})
	})
	.map(({ route: [method, path, sample], changes, query, type, text }) => {
		const body: unknown = structuredClone(sample);
		for (const [at, value] of changes) {
			const all = places(body);
			all[at % Math.max(1, all.length)]?.(odd[value]?.());
		}
		const asked = path.includes('?') ? path : `${path}${query}`;
		return {
			method,
			path: asked,
			type,
			body: method === 'GET' || method === 'DELETE' ? null : (text ?? JSON.stringify(body))
		};
	});

const mostShown = 120;

/** Sends random and mutated requests to every address, a few at a time. */
export async function oddRequests(address: string, count: number, seed = 20270501): Promise<Asked> {
	const broken: string[] = [];
	const shapeless: string[] = [];
	let slowestMs = 0;
	const ask = async ({ method, path, body, type }: Request) => {
		const start = performance.now();
		const headers = { 'content-type': type };
		const response = await asked(`${address}${path}`, { method, body, headers });
		const text = await response.text();
		slowestMs = Math.max(slowestMs, performance.now() - start);
		const shown = `${response.status} ${method} ${path} ${body?.slice(0, mostShown)} → ${text.slice(0, mostShown)}`;
		if (response.status >= 500 && response.status !== 503) broken.push(shown);
		if (response.status >= 400 && !response.headers.get('content-type')?.includes('problem+json'))
			shapeless.push(shown);
	};
	const waiting = fc.sample(anyRequest, { numRuns: count, seed });
	const worker = async () => {
		for (let request = waiting.pop(); request; request = waiting.pop()) await ask(request);
	};
	await Promise.all([worker(), worker()]);
	return { requests: count, broken, shapeless, slowestMs };
}

/** Documents that are no plan, or one of another month's making: each is refused with reasons, or taken whole. */
export async function hostileImports(address: string, count: number): Promise<Asked> {
	const broken: string[] = [];
	const shapeless: string[] = [];
	let slowestMs = 0;
	const files = fc.sample(
		fc.tuple(fc.array(fc.tuple(fc.nat(), fc.nat(odd.length - 1)), { maxLength: 6 }), fc.nat(9)),
		{ numRuns: count, seed: 20270502 }
	);
	for (const [changes, sort] of files) {
		const document: unknown = structuredClone(demoMonth);
		for (const [at, value] of changes) {
			const all = places(document);
			all[at % all.length]?.(odd[value]?.());
		}
		const body = sort === 0 ? `{"document":${'['.repeat(200_000)}` : JSON.stringify({ document });
		const before = await notebooks(address);
		const start = performance.now();
		const response = await asked(`${address}/app/import`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body
		});
		slowestMs = Math.max(slowestMs, performance.now() - start);
		const answer: unknown = await response.json();
		const after = await notebooks(address);
		const taken = response.status === 201 ? 1 : 0;
		if (response.status >= 500 || after - before !== taken)
			broken.push(`${response.status}: ${before} → ${after} ${body.slice(0, mostShown)}`);
		if (taken === 0 && !Array.isArray(Object(answer).errors))
			shapeless.push(JSON.stringify(answer));
	}
	return { requests: count, broken, shapeless, slowestMs };
}

async function notebooks(address: string): Promise<number> {
	const page = await (await fetch(`${address}/notebooks`)).text();
	return new Set(page.match(/\/notebooks\/[0-9a-f-]{36}/g)).size;
}
