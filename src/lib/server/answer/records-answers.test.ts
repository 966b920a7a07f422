import { beforeAll, describe, expect, test } from 'vitest';
import april from '../../../../demo/april.json';
import march from '../../../../demo/march.json';
import { loadDemo } from '../shelf/demo';
import { recordsAnswer, type RecordsRoute } from './records-answers';
import { openStore } from '../shelf/store';

/** What the demo's months were filled in with. */
const entries: Record<string, unknown[]> = {};
beforeAll(async () => {
	const store = await openStore(':memory:');
	await loadDemo(store);
	for (const { id, month } of await store.months.all())
		entries[month] = await store.records.ofMonth(id);
	store.close();
});

async function answer(route: RecordsRoute, body: object) {
	const response = recordsAnswer(route, JSON.stringify(body));
	const json: unknown = await response.json();
	return { status: response.status, text: JSON.stringify(json), json };
}

interface Reviewed {
	readonly month: string;
	readonly proposals: readonly {
		readonly what: string;
		readonly leavesOut: boolean;
		readonly pages: { readonly before: number; readonly after: number };
		readonly wishes: readonly object[];
	}[];
}
const isReviewed = (json: unknown): json is Reviewed =>
	typeof json === 'object' && json !== null && 'proposals' in json && 'month' in json;

describe('the review of a month', () => {
	test('takes earlier months, tells pages, and plans the next month without dates or pins', async () => {
		const { json } = await answer('review', {
			plan: april,
			entries: entries['2027-04'],
			earlier: [{ plan: march, entries: entries['2027-03'] }]
		});
		if (!isReviewed(json)) throw new Error(JSON.stringify(json));
		expect(json.month).toBe('2027-05');
		expect(json.proposals.length).toBeGreaterThan(2);
		for (const { what, pages, wishes } of json.proposals) {
			expect(what).not.toBe('');
			expect(pages.before).toBeGreaterThan(0);
			expect(pages.after).toBeGreaterThan(0);
			const text = JSON.stringify(wishes);
			expect(text).not.toMatch(/"pin"|"events"|APRIL|April 2027/);
		}
		// One month alone knows nothing of two months in a row.
		const alone = await answer('review', { plan: april, entries: entries['2027-04'] });
		const known = (found: unknown) =>
			isReviewed(found) ? found.proposals.filter(({ leavesOut }) => leavesOut).length : 0;
		expect(known(alone.json)).toBeLessThan(known(json));
	}, 60_000);

	test('without records proposes nothing', async () => {
		const { json } = await answer('review', { plan: april, entries: [] });
		expect(json).toMatchObject({ proposals: [] });
	}, 60_000);
});

describe('entries that are about nothing of the month', () => {
	const entry = { wish: 'steps', about: 'day=3', holds: 'number', value: '7000' };

	test('are refused by their place', async () => {
		const tally = (...all: object[]) => answer('tally', { plan: april, entries: all });
		expect((await tally(entry)).status).toBe(200);
		const late = await tally(entry, { ...entry, about: 'day=45' });
		expect(late.json).toMatchObject({
			status: 400,
			errors: [{ path: 'entries[1].about', message: expect.stringMatching(/from 1 to 30/) }]
		});
		const stray = await tally({ ...entry, wish: 'nothing' });
		expect(stray.json).toMatchObject({ status: 400, errors: [{ path: 'entries[0].wish' }] });
		// What is written besides the trackers has a name that no wish has.
		const review = { wish: '#review', about: 'item=Much', holds: 'text', value: 'sleep' };
		expect((await tally(review)).status).toBe(200);
	});
});
