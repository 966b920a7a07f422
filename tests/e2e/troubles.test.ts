import { spawn } from 'node:child_process';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import demoMonth from '../../demo/month.json';
import { killsAtFirstStart, killsDuringSaves, startsAtOnce } from '../hard/kills';
import { killsDuringRestores } from '../hard/restores';
import { hostileImports, oddRequests } from '../hard/requests';
import { type App, startApp } from './app';

let app: App;
beforeAll(async () => {
	app = await startApp('start');
});
afterAll(() => app.stop());

const post = (path: string, content: unknown, type = 'application/json') =>
	fetch(`${app.address}${path}`, {
		method: 'POST',
		headers: { 'content-type': type },
		body: JSON.stringify(content)
	});

// The same in full: npm run bench -- --hard
describe('killed and started again', () => {
	test('nothing that was said to be kept is lost', async () => {
		const killed = await killsDuringSaves(4);
		expect(killed).toMatchObject({ lost: 0, neverStarted: 0 });
		expect(killed.acknowledged).toBeGreaterThan(4);
	});

	test('an archive is taken in, and a copy gone back to, whole or not at all', async () => {
		expect(await killsDuringRestores(3)).toMatchObject({ lost: 0, neverStarted: 0 });
	});

	test('a first start that is killed is done by the next, once', async () => {
		expect(await killsAtFirstStart(3)).toMatchObject({ lost: 0, neverStarted: 0 });
	});

	test('two starts at once on one file both run, and hold the demo once', async () => {
		expect(await startsAtOnce(2)).toMatchObject({ lost: 0, neverStarted: 0 });
	});
});

describe('odd requests', () => {
	test('are answered in one shape, and none breaks anything', async () => {
		const { broken, shapeless } = await oddRequests(app.address, 250);
		expect(broken).toEqual([]);
		expect(shapeless).toEqual([]);
	});

	test('files that are no plan are refused with reasons, or taken whole', async () => {
		const { broken, shapeless } = await hostileImports(app.address, 40);
		expect(broken).toEqual([]);
		expect(shapeless).toEqual([]);
	});

	test('a content type that is not JSON is named', async () => {
		const answer = await post('/api/v1/plan', demoMonth, 'text/plain');
		expect(answer.status).toBe(415);
		expect((await answer.json()).errors).toEqual([
			{ path: 'content-type', message: 'must be application/json; it is “text/plain”' }
		]);
	});

	test('unknown parameters are refused by name', async () => {
		const answer = await post('/api/v1/plan?pages=3', demoMonth);
		expect((await answer.json()).errors).toEqual([
			{ path: 'pages', message: 'is no parameter of this address; it has include, sizes' }
		]);
		const include = await post('/api/v1/plan?include=marks,all', demoMonth);
		expect((await include.json()).errors[0].message).toContain('“all” is none of them');
	});
});

describe('too much', () => {
	const wishes = (count: number, wish: object) =>
		Array.from({ length: count }, (_, index) => ({ id: `w${index}`, ...wish }));

	test('is said with what is too much', async () => {
		const weekly = { kind: 'weekly-pages', weeks: { pagesPerWeek: 4 } };
		const answer = await post('/api/v1/plan', { ...demoMonth, wishes: wishes(200, weekly) });
		expect(answer.status).toBe(422);
		expect((await answer.json()).detail).toMatch(
			/^wishes ask for too much at once: \d+ blocks on \d+ pages/
		);
		const empty = await post('/api/v1/plan', {
			...demoMonth,
			wishes: Array.from({ length: 200_000 }, () => ({}))
		});
		expect((await empty.json()).errors).toEqual([
			{ path: 'wishes', message: 'must have at most 200 entries; it has 200000' }
		]);
	});

	test('keeps nobody else waiting', async () => {
		const heavy = post('/api/v1/plan', {
			...demoMonth,
			wishes: wishes(200, { kind: 'habits' }).map((wish, index) => ({
				...wish,
				kind: ['habits', 'mood', 'sleep', 'spending', 'notes', 'cover'][index % 6]
			}))
		});
		// Not one of these waits for the heavy one: it is still under way when they are all answered.
		let done = false;
		void heavy.then(() => (done = true));
		for (let round = 0; round < 5; round++) {
			const health = await fetch(`${app.address}/api/v1/health`);
			expect(health.status).toBe(200);
		}
		expect((await post('/api/v1/plan', { ...demoMonth, wishes: [] })).status).toBe(200);
		expect(done).toBe(false);
		// However slow the machine is, the best run by the limit of work is the answer.
		expect((await heavy).status).toBe(200);
	});

	test('remedies are worked out only when they are asked for', async () => {
		const crowded = {
			...demoMonth,
			notebook: { ...demoMonth.notebook, freePages: { first: 62, last: 62 } },
			wishes: [
				{ id: 'cal', kind: 'month-calendar', importance: 'must' },
				{ id: 'steps', kind: 'steps' }
			]
		};
		const plain = await (await post('/api/v1/plan', crowded)).json();
		expect(plain.run.unplaced[0]).not.toHaveProperty('remedies');
		const asked = await (await post('/api/v1/plan?include=remedies', crowded)).json();
		expect(asked.run.unplaced[0].remedies).toBeInstanceOf(Array);
	});
});

describe('what is kept can be written out and read again', () => {
	const put = (path: string, content: unknown) =>
		fetch(`${app.address}${path}`, {
			method: 'PUT',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(content)
		});

	test('also from a book that is full', async () => {
		const small = { ...demoMonth.notebook, freePages: { first: 62, last: 63 } };
		const document = { ...demoMonth, notebook: small };
		const may = await (await post('/app/import', { document })).json();
		const june = await (
			await post('/app/months', {
				notebookId: may.notebookId,
				month: '2027-06',
				weekStart: 'monday',
				aim: 'balanced',
				wishes: [{ id: 'a', kind: 'cover' }]
			})
		).json();
		const file = await (await fetch(`${app.address}/app/months/${june.id}/plan.json`)).json();
		expect(file.notebook.freePages).toEqual([]);
		expect((await post('/app/import', { document: file })).status).toBe(201);
	});

	test('a book cannot shrink below a cut that a month of it keeps', async () => {
		const cut = { id: 'd', kind: 'strip', leaves: { first: 63, last: 63 }, amount: 10 };
		const made = await post('/app/import', { document: { ...demoMonth, cuts: [cut] } });
		expect(made.status).toBe(201);
		const { notebookId } = await made.json();
		const narrow = { ...demoMonth.notebook, columns: 8 };
		const refused = await put(`/app/notebooks/${notebookId}`, { revision: 1, notebook: narrow });
		expect(refused.status).toBe(400);
		expect((await refused.json()).detail).toContain('would no longer hold a cut of May 2027');
	});
});

test('a port that is taken is told in one sentence', async () => {
	const { port } = new URL(app.address);
	const child = spawn(process.execPath, ['scripts/start.mjs'], {
		env: { ...process.env, PORT: port, HORARIUM_DB: ':memory:' },
		stdio: ['ignore', 'ignore', 'pipe']
	});
	let said = '';
	child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
	const code = await new Promise((resolve) => child.once('exit', resolve));
	expect(code).toBe(1);
	expect(said.trim()).toBe(`Port ${port} is taken by another program. Choose another with PORT.`);
});
