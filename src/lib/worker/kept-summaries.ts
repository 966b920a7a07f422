import { clear, createStore, get, keys, set } from 'idb-keyval';
import type { Plan, Summary } from '$lib/core/fit';

/** So many are kept; beyond them all are forgotten, which costs no more than working out the next few. */
const most = 60;
const keep = createStore('horarium summaries', 'summaries');

/**
 * What a plan came to, if it was worked out in this browser by this build of the program. A browser that keeps
 * nothing (a private window, a full disk) knows nothing.
 */
export async function knownSummary(build: string, plan: Plan): Promise<Summary | undefined> {
	try {
		return await get<Summary>(await nameOf(build, plan), keep);
	} catch {
		return undefined;
	}
}

/** Keeps what a plan came to. */
export async function keepSummary(build: string, plan: Plan, summary: Summary): Promise<void> {
	try {
		if ((await keys(keep)).length >= most) await clear(keep);
		await set(await nameOf(build, plan), summary, keep);
	} catch {
		// Nothing is lost: it will be worked out again.
	}
}

/** A plan's fingerprint with the build's: another program may come to another run. */
async function nameOf(build: string, plan: Plan): Promise<string> {
	const bytes = new TextEncoder().encode(`${build} ${JSON.stringify(plan)}`);
	return Array.from(new Uint8Array(await crypto.subtle.digest('SHA-256', bytes)), (byte) =>
		byte.toString(16).padStart(2, '0')
	).join('');
}
