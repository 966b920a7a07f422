import { expect, test } from 'vitest';
import { a5 } from '../support/arbitraries';
import { onStage } from './stage';

const stage = onStage('/months');

/** Sends JSON to the running application, as its own screens do. */
async function send(method: string, path: string, content: unknown) {
	const response = await fetch(`${stage().app.address}${path}`, {
		method,
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify(content)
	});
	return { status: response.status, body: await response.json() };
}

const month = (notebookId: string) => ({
	notebookId,
	month: '2027-08',
	weekStart: 'monday',
	aim: 'balanced',
	wishes: [{ id: 'a', kind: 'cover' }]
});

test('what is written is refused field by field when it is wrong, and nothing of it is kept', async () => {
	const { body: made } = await send('POST', '/app/notebooks', a5);
	const created = await send('POST', '/app/months', month(made.id));
	expect(created.status).toBe(201);
	const path = `/app/months/${created.body.id}`;
	const wrong = await send('PUT', path, {
		...month(made.id),
		revision: 1,
		wishes: [
			{ id: 'a', kind: 'cover', title: 'NEW' },
			{ id: 'b', kind: 'nonsense' }
		]
	});
	expect(wrong.status).toBe(400);
	expect(wrong.body.errors[0].path).toBe('wishes[1].kind');
	const again = await send('PUT', path, { ...month(made.id), revision: 1, aim: 'roomiest' });
	expect(again.body).toMatchObject({ revision: 2, wishes: [{ id: 'a', kind: 'cover' }] });
});

test('a write without its revision, or based on an older one, is refused', async () => {
	const { body: made } = await send('POST', '/app/notebooks', a5);
	const path = `/app/notebooks/${made.id}`;
	expect((await send('PUT', path, { notebook: a5 })).body.errors).toEqual([
		{ path: 'revision', message: 'is missing' }
	]);
	expect((await send('PUT', path, { revision: 1, notebook: { ...a5, rows: 39 } })).status).toBe(
		200
	);
	const late = await send('PUT', path, { revision: 1, notebook: { ...a5, rows: 38 } });
	expect(late.status).toBe(409);
	expect(late.body.current).toMatchObject({ revision: 2, notebook: { rows: 39 } });
});

test('a month names a notebook that is there, and ids that are not there are not found', async () => {
	const lost = await send('POST', '/app/months', month('nobody'));
	expect([lost.status, lost.body.errors[0].path]).toEqual([400, 'notebookId']);
	for (const path of ['/app/notebooks/nobody', '/app/months/nobody', '/app/kinds/nobody'])
		expect((await send('PATCH', path, { deleted: true })).status).toBe(404);
});

test('a hand, a printer and a language beyond all measure are refused in words', async () => {
	const hand = await send('PUT', '/app/hand', { lettersPerSquare: 0 });
	expect(hand.body.errors[0].message).toContain('from 0.2 to 10');
	const printer = await send('POST', '/app/printers', { name: 'x', acrossMm: 50, downMm: 100 });
	expect(printer.body.errors).toEqual([
		{ path: 'acrossMm', message: 'must be a number from 90 to 110 mm; it is 50' }
	]);
	const language = await send('PUT', '/app/language', { language: 'not a language' });
	expect(language.status).toBe(400);
	expect((await send('POST', '/app/kinds', { name: '', wish: {} })).status).toBe(400);
});
