import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import type { Job } from './tasks';

/** All the time that the work of one request may take, waiting for a thread included. */
export const budgetMs = 4500;
/** A month that is kept must stay within reach on a slow or busy machine too. */
export const budgetOfKeptMs = 15_000;
/** Years of months are looked through in minutes at most. */
export const budgetOfArchiveMs = 15 * 60_000;
/** Work that has begun goes on so long without anybody waiting for it. */
const graceMs = 1000;
/** More requests than these do not wait: they are told to come again. */
const mostWaiting = 50;
/** Memory of a thread; work that needs more ends alone. */
const mostMegabytes = 768;

/** The work of a request was more than one request may ask for: 422. */
export class TooMuch extends Error {
	override readonly name = 'TooMuch';
}

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
		resourceLimits: { maxOldGenerationSizeMb: mostMegabytes }
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
	budget = budgetMs
): Promise<T> {
	const started = new Int32Array(new SharedArrayBuffer(4));
	const begun = () => Atomics.load(started, 0) === 1;
	const time = AbortSignal.timeout(budget);
	const left = new AbortController();
	let timer: ReturnType<typeof setTimeout> | undefined;
	const leave = () => {
		timer = setTimeout(() => left.abort(), begun() ? graceMs : 0);
	};
	if (gone?.aborted) throw new Gone();
	gone?.addEventListener('abort', leave);
	try {
		const signal = AbortSignal.any([time, left.signal]);
		return await pool.run({ ...job, started }, { signal });
	} catch (error) {
		if (left.signal.aborted) throw new Gone();
		if (time.aborted && begun())
			throw new TooMuch(
				`This takes more than ${budget / 1000} seconds to work out, which is all that one request may take. Ask for fewer wishes, weekly pages, cuts or sheets at a time.`
			);
		if (time.aborted || isFull(error))
			throw new Busy('There is more to work out than can be done at once. Try again in a moment.');
		if (codeOf(error) === 'ERR_WORKER_OUT_OF_MEMORY')
			throw new TooMuch(
				'This takes more memory to work out than one request may take. Ask for fewer pages or a lower resolution.'
			);
		throw error;
	} finally {
		clearTimeout(timer);
		gone?.removeEventListener('abort', leave);
	}
}

function isFull(error: unknown): boolean {
	return error instanceof Error && error.message.includes('queue is at limit');
}

function codeOf(error: unknown): unknown {
	return error instanceof Error && 'code' in error ? error.code : undefined;
}
