import { availableParallelism } from 'node:os';
import { setTimeout as setTimeoutPromise } from 'node:timers/promises';
import { Piscina } from 'piscina';
import type { Job } from './tasks';
import { TooMuch } from './too-much';

/** How long a job may take on the clock, which only guards: what may be asked is counted in work, the same on every machine. */
export interface Patience {
	/** From when a thread takes it, in ms. */
	readonly workMs: number;
	/** Until a thread takes it; for ever where nothing is said. */
	readonly waitMs?: number;
}

export const usualPatience: Patience = { workMs: 60_000, waitMs: 60_000 };
/** A month that is kept stays within reach however busy the machine is. */
export const patienceForKept: Patience = { workMs: 5 * 60_000 };
/** Years of months are looked through in minutes at most. */
export const patienceForArchives: Patience = { workMs: 15 * 60_000, waitMs: 60_000 };
/** Who waits without an end looks so often whether there is room in the queue. */
const againMs = 250;
/** Work that has begun goes on so long without anybody waiting for it. */
const graceMs = 1000;
/** More requests than these do not wait: they are told to come again. */
const mostWaiting = 50;
/** Memory of a thread: work that needs more ends alone, and what is young is looked through before it becomes much. */
const mostMegabytes = { maxOldGenerationSizeMb: 768, maxYoungGenerationSizeMb: 12 };

/** There is more to do than can be done at the moment: 503, and worth another try. */
export class Busy extends Error {
	override readonly name = 'Busy';
}

/** Nobody waits for the answer any more. */
export class Gone extends Error {
	override readonly name = 'Gone';
}

let pool: Piscina | undefined;

/** Threads, where the program was started with a file for them; otherwise all is done in this one. */
export function threads(): Piscina | undefined {
	const filename = process.env.HORARIUM_WORKER;
	if (!filename) return undefined;
	pool ??= new Piscina({
		filename,
		minThreads: 1,
		// One more than there are cores: a light request is not kept waiting by as many heavy ones.
		maxThreads: availableParallelism() + 1,
		idleTimeout: 30_000,
		maxQueue: mostWaiting,
		resourceLimits: mostMegabytes
	});
	return pool;
}

/**
 * Has a job done by one of the threads. It is broken off when its time is over, or when `gone` says that nobody
 * waits for it any more: at once while it has not begun, after a while when it has, because a thread ends with it.
 * @throws TooMuch, Busy, Gone
 */
export async function inThread<T>(
	pool: Piscina,
	job: Job,
	gone?: AbortSignal,
	patience = usualPatience
): Promise<T> {
	for (;;) {
		if (gone?.aborted) throw new Gone();
		try {
			return await once(pool, job, gone, patience);
		} catch (error) {
			if (!isFull(error)) throw error;
			if (patience.waitMs !== undefined) throw busy();
		}
		await setTimeoutPromise(againMs);
	}
}

async function once<T>(
	pool: Piscina,
	job: Job,
	gone: AbortSignal | undefined,
	{ workMs, waitMs }: Patience
): Promise<T> {
	const started = new Int32Array(new SharedArrayBuffer(4));
	const begun = () => Atomics.load(started, 0) === 1;
	const left = new AbortController();
	const late = new AbortController();
	const timers: ReturnType<typeof setTimeout>[] = [];
	const later = (ms: number, act: () => void) => timers.push(setTimeout(act, ms).unref());
	const leave = () => later(begun() ? graceMs : 0, () => left.abort());
	gone?.addEventListener('abort', leave);
	const { async, value } = Atomics.waitAsync(started, 0, 0);
	if (async) void value.then(() => later(workMs, () => late.abort()));
	if (waitMs !== undefined) later(waitMs, () => begun() || late.abort());
	try {
		const signal = AbortSignal.any([late.signal, left.signal]);
		return await pool.run({ ...job, started }, { signal });
	} catch (error) {
		if (left.signal.aborted) throw new Gone();
		if (late.signal.aborted) throw busy();
		if (codeOf(error) === 'ERR_WORKER_OUT_OF_MEMORY')
			throw new TooMuch(
				'This takes more memory to work out than one request may take. Ask for fewer pages or a lower resolution.'
			);
		if (error instanceof Error && error.name === 'TooMuch') throw new TooMuch(error.message);
		throw error;
	} finally {
		// Who waits for it to begin is let go.
		Atomics.store(started, 0, 1);
		Atomics.notify(started, 0);
		for (const timer of timers) clearTimeout(timer);
		gone?.removeEventListener('abort', leave);
	}
}

const busy = () =>
	new Busy(
		'This machine is busy with other work at the moment, and nothing is wrong with what you asked. Try again in a moment.'
	);

function isFull(error: unknown): boolean {
	return error instanceof Error && error.message.includes('queue is at limit');
}

function codeOf(error: unknown): unknown {
	return error instanceof Error && 'code' in error ? error.code : undefined;
}
