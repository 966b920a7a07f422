/** A picture that one device hands to another: held in memory only, and given away once. */
export interface HandedOver {
	readonly type: string;
	readonly bytes: Uint8Array;
}

interface Waiting extends HandedOver {
	readonly month: string;
	readonly until: number;
}

/** So many pictures wait at a time, and nobody waits longer for one. */
const [mostWaiting, patienceMs] = [6, 10 * 60 * 1000];

let waiting: readonly Waiting[] = [];

const fresh = (now: number) => waiting.filter(({ until }) => until > now);

/** Lays a picture down for the desk on which a month is kept; of too many the oldest go. */
export function handOver(month: string, picture: HandedOver, now: number): void {
	const { type, bytes } = picture;
	waiting = [...fresh(now), { month, type, bytes, until: now + patienceMs }].slice(-mostWaiting);
}

/** The picture of a month that has waited longest, which nobody gets again. */
export function handedTo(month: string, now: number): HandedOver | undefined {
	const still = fresh(now);
	const found = still.find((picture) => picture.month === month);
	waiting = still.filter((picture) => picture !== found);
	return found && { type: found.type, bytes: found.bytes };
}
