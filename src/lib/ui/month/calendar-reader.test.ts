import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { CalendarRequest } from '$lib/worker/calendar.worker';
import { readCalendarFile, type Reader } from './calendar-reader';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

const may = { year: 2027, month: 5 };

/** Workers that do as they are told: each hangs at an event unless it is skipped, and then reads the file. */
function workers(hangsAt: readonly number[]) {
	const skips: number[][] = [];
	let alive = 0;
	const start = (): Reader => {
		alive++;
		const reader: Reader = {
			onmessage: null,
			onerror: null,
			terminate: () => alive--,
			postMessage: ({ skip }: CalendarRequest) => {
				skips.push([...skip]);
				const hung = hangsAt.find((event) => !skip.has(event));
				const data =
					hung === undefined
						? ({
								kind: 'read',
								read: { ok: true, events: [], leftOut: 0, notes: [] }
							} as const)
						: ({ kind: 'begun', event: hung } as const);
				queueMicrotask(() => reader.onmessage?.(new MessageEvent('message', { data })));
			}
		};
		return reader;
	};
	return { start, skips, alive: () => alive };
}

test('an event that never ends is skipped when the file is read again', async () => {
	const { start, skips, alive } = workers([4, 9]);
	const read = readCalendarFile('…', may, new AbortController().signal, start);
	await vi.advanceTimersByTimeAsync(5000);
	expect(await read).toMatchObject({ ok: true });
	expect(skips).toEqual([[], [4], [4, 9]]);
	expect(alive()).toBe(0);
});

test('a file full of them is refused in words', async () => {
	const { start, skips, alive } = workers([1, 2, 3, 4, 5, 6]);
	const read = readCalendarFile('…', may, new AbortController().signal, start);
	await vi.advanceTimersByTimeAsync(10_000);
	expect(await read).toMatchObject({ ok: false, message: expect.stringContaining('too long') });
	expect([skips.length, alive()]).toEqual([4, 0]);
});

test('it is stopped by hand', async () => {
	const { start, alive } = workers([1]);
	const stop = new AbortController();
	const read = readCalendarFile('…', may, stop.signal, start);
	await vi.advanceTimersByTimeAsync(10);
	stop.abort();
	expect(await read).toMatchObject({ ok: false, message: expect.stringContaining('stopped') });
	expect(alive()).toBe(0);
});
