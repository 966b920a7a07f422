import { beforeEach, expect, test, vi } from 'vitest';
import type { KeptMonth } from '../../core/fit';
import { sameContent } from '../../core/wish';
import { Saver, type Sent } from '../keeping/saver.svelte';
import { MonthSteps } from './month-steps.svelte';

const stored = new Map<string, string>();

/** What the server has, and the windows' writes that it has not answered yet. */
let server: { revision: number; month: KeptMonth };
let held: (() => void)[];
let holds: boolean;

beforeEach(() => {
	stored.clear();
	vi.stubGlobal('sessionStorage', {
		getItem: (name: string) => stored.get(name) ?? null,
		setItem: (name: string, text: string) => stored.set(name, text)
	});
	server = { revision: 3, month: monthWith(['a', 'b', 'c']) };
	held = [];
	holds = false;
});

const soon = () => new Promise((resolve) => setImmediate(resolve));

function monthWith(ids: string[], front = 77): KeptMonth {
	return {
		month: '2027-05',
		weekStart: 'monday',
		aim: 'balanced',
		wishes: ids.map((id) => ({ id, kind: 'habits' })),
		cuts: [{ id: 'door', kind: 'bottom', depth: 13, leaves: { first: front, last: front } }]
	};
}

function take(revision: number, month: KeptMonth): Sent<KeptMonth> {
	const current = server.month;
	if (revision !== server.revision)
		return {
			kind: 'conflict',
			revision: server.revision,
			ours: (sent) => sameContent(sent, current)
		};
	server = { revision: revision + 1, month };
	return { kind: 'written', revision: server.revision };
}

/** A window that opens the month as the server has it; what it sends does not arrive where it is `lost`. */
function opened(lost?: (() => void)[]): MonthSteps {
	const saver = new Saver<KeptMonth>(
		server.revision,
		async (revision, month) => {
			if (lost) await new Promise<void>((go) => lost.push(go));
			const answer = take(revision, month);
			if (holds) await new Promise<void>((go) => held.push(go));
			return answer;
		},
		() => undefined
	);
	const steps = new MonthSteps('m1', server.month, saver, () => undefined);
	steps.recallOnce();
	return steps;
}

const idsOf = ({ month }: MonthSteps) => month.wishes.map(({ id }) => id).join();

test('what followed a step is still undone with it when the page was left while it was being kept', async () => {
	const steps = opened();
	steps.change(monthWith(['a', 'b']));
	await soon();
	steps.rememberNow();
	// The server has what followed; whatever the window does while it is left comes too late for the next page.
	holds = true;
	steps.follow({ cuts: monthWith([], 75).cuts });
	const next = opened();
	expect(next.month).toEqual(monthWith(['a', 'b'], 75));
	next.undo();
	expect(next.month).toEqual(monthWith(['a', 'b', 'c'], 77));
});

test('a step that was still on its way when something followed it is known as our own', async () => {
	holds = true;
	const steps = opened();
	steps.change(monthWith(['a', 'b']));
	steps.follow({ cuts: monthWith([], 75).cuts });
	expect(server.month).toEqual(monthWith(['a', 'b'], 77));
	holds = false;
	const next = opened();
	expect(idsOf(next)).toBe('a,b');
	await soon();
	expect(server.month).toEqual(monthWith(['a', 'b'], 75));
	next.undo();
	await soon();
	expect(server.month).toEqual(monthWith(['a', 'b', 'c'], 77));
});

test('a page that is left twice while its steps are on their way conflicts with nobody', async () => {
	holds = true;
	const first = opened();
	first.change(monthWith(['a', 'b']));
	first.follow({ cuts: monthWith([], 75).cuts });
	// The server has the step, and nothing of what followed; the second page sends that, and is left too.
	const asFirst = server;
	const late: (() => void)[] = [];
	const second = opened(late);
	second.change(monthWith(['a'], 75));
	second.rememberNow();
	expect(server).toBe(asFirst);
	holds = false;
	const third = opened();
	await soon();
	expect(server.month).toEqual(monthWith(['a'], 75));
	third.undo();
	await soon();
	expect(server.month).toEqual(monthWith(['a', 'b'], 75));
});

test('what comes late from a page that was left, behind the step before it, is known as our own', async () => {
	holds = true;
	const first = opened();
	first.change(monthWith(['a', 'b']));
	first.follow({ cuts: monthWith([], 75).cuts });
	holds = false;
	const next = opened();
	// Between the answer that the step is kept and the next try, what followed it arrives from the page before.
	server = { revision: server.revision + 1, month: monthWith(['a', 'b'], 75) };
	await soon();
	next.change(monthWith(['a'], 75));
	await soon();
	expect(server.month).toEqual(monthWith(['a'], 75));
});
