import { entryKey, type Change, type Entry } from '../values/entry';

/** A change that is not known to be kept yet. */
export interface Queued {
	readonly id: string;
	/** When it was made, as an ISO 8601 instant. */
	readonly at: string;
	readonly change: Change;
	/** Values that it may replace: the one it was made over, and those made over that which may never have been kept. */
	readonly was: readonly string[];
}

/** A change made over what is shown, and over another one that is not kept yet. */
export function queuedOver(
	id: string,
	at: string,
	change: Change,
	shown: string,
	waiting: Queued | undefined
): Queued {
	const was = waiting ? [...waiting.was, waiting.change.value] : [shown];
	return { id, at, change, was: [...new Set(was)] };
}

/** Changes as they are sent: each with the values that it may replace. */
export function sentOf(queue: readonly Queued[]): (Change & { readonly was: readonly string[] })[] {
	return queue.map(({ change, was }) => ({ ...change, was }));
}

/** Whether a change may be written where `now` stands: it was made over that, or it is that already. */
export function mayReplace(
	now: string,
	value: string,
	was: readonly string[] | undefined
): boolean {
	return was === undefined || now === value || was.includes(now);
}

/** A change that somebody must decide on. */
export type Undecided =
	/** Something else came in between: `now` is what stands there. */
	| { readonly kind: 'conflict'; readonly queued: Queued; readonly now: string }
	/** It can never be kept as it is. */
	| { readonly kind: 'refused'; readonly queued: Queued; readonly says: string };

/** What became of changes that were sent, from what stands where they were not written. */
export function conflictsIn(queue: readonly Queued[], standing: readonly Entry[]): Undecided[] {
	const found = new Map(standing.map((entry) => [entryKey(entry), entry.value]));
	return queue.flatMap((queued): Undecided[] => {
		const now = found.get(entryKey(queued.change));
		return now === undefined ? [] : [{ kind: 'conflict', queued, now }];
	});
}
