import { expect, test, vi } from 'vitest';
import { Saver, type Sent } from './saver.svelte';

/** A server whose answers the test gives one by one. */
function server() {
	const sent: { revision: number; content: string; answer: (sent: Sent<string>) => void }[] = [];
	const send = (revision: number, content: string) =>
		new Promise<Sent<string>>((answer) => sent.push({ revision, content, answer }));
	return { sent, send };
}

const soon = () => new Promise((resolve) => setImmediate(resolve));

test('writes one at a time, and only the newest of what waits', async () => {
	const { sent, send } = server();
	const saver = new Saver<string>(1, send, () => undefined);
	saver.write('a');
	saver.write('b');
	saver.write('c');
	expect(sent.map(({ content }) => content)).toEqual(['a']);
	expect(saver.state.kind).toBe('saving');
	sent[0]?.answer({ kind: 'written', revision: 2 });
	await soon();
	expect(sent.map(({ content, revision }) => [content, revision])).toEqual([
		['a', 1],
		['c', 2]
	]);
	expect(saver.settled).toBe(false);
	sent[1]?.answer({ kind: 'written', revision: 3 });
	await soon();
	expect(saver.settled).toBe(true);
});

test('stops at a conflict until it is told what to do', async () => {
	const { sent, send } = server();
	const saver = new Saver<string>(1, send, () => undefined);
	saver.write('mine');
	sent[0]?.answer({ kind: 'conflict', revision: 5, ours: () => false });
	await soon();
	expect(saver.state).toEqual({ kind: 'conflict', revision: 5 });
	saver.write('mine too');
	expect(sent).toHaveLength(1);
	saver.overwrite();
	expect(sent[1]).toMatchObject({ revision: 5, content: 'mine too' });
	sent[1]?.answer({ kind: 'written', revision: 6 });
	await soon();
	expect(saver.settled).toBe(true);
});

test('tries again by itself when the server does not answer, with the newest content', async () => {
	vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
	const { sent, send } = server();
	const saver = new Saver<string>(1, send, () => undefined);
	saver.write('a');
	sent[0]?.answer({ kind: 'unreached' });
	await soon();
	expect(saver.state).toMatchObject({ kind: 'failed', retry: true });
	vi.advanceTimersByTime(10_000);
	expect(sent[1]).toMatchObject({ revision: 1, content: 'a' });
	sent[1]?.answer({ kind: 'written', revision: 2 });
	await soon();
	expect(saver.settled).toBe(true);
	vi.useRealTimers();
});

test('what is refused is not sent again by itself', async () => {
	const { sent, send } = server();
	const saver = new Saver<string>(1, send, () => undefined);
	saver.write('a');
	sent[0]?.answer({ kind: 'refused', message: 'wrong' });
	await soon();
	expect(saver.state).toEqual({ kind: 'failed', message: 'wrong', retry: false });
	expect(sent).toHaveLength(1);
});

test('what was on its way when the page was left is no conflict with oneself', async () => {
	const { sent, send } = server();
	const saver = new Saver<string>(1, send, () => undefined);
	saver.recover(1, 'third', ['first', 'second']);
	// The second had reached the server before the page was left.
	sent[0]?.answer({ kind: 'conflict', revision: 2, ours: (lost) => lost === 'second' });
	await soon();
	expect(sent[1]).toMatchObject({ revision: 2, content: 'third' });
	sent[1]?.answer({ kind: 'written', revision: 3 });
	await soon();
	expect(saver.settled).toBe(true);
});

test('a write whose answer was lost is no conflict with oneself', async () => {
	vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
	const { sent, send } = server();
	const saver = new Saver<string>(1, send, () => undefined);
	saver.write('first');
	sent[0]?.answer({ kind: 'unreached' });
	await soon();
	saver.write('second');
	// The server kept the first one before it went away.
	sent[1]?.answer({ kind: 'conflict', revision: 2, ours: (lost) => lost === 'first' });
	await soon();
	expect(sent[2]).toMatchObject({ revision: 2, content: 'second' });
	sent[2]?.answer({ kind: 'written', revision: 3 });
	await soon();
	expect(saver.settled).toBe(true);
	vi.useRealTimers();
});
