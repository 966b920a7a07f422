import { checked, queuedSchema } from '$lib/core/formats';
import type { Queued } from '$lib/core/records';
import { kept, keep } from '../making/kept-here';

/** Changes of a month that wait in this browser, each under a name of its own: windows never write over each other's. */
export class RecordsQueue {
	private readonly prefix: string;

	constructor(monthId: string) {
		this.prefix = `horarium records ${monthId}`;
	}

	/** Everything that waits, whichever window it is of, the earliest first. */
	all(): Queued[] {
		const found = this.names().flatMap((name) => kept(name, isQueued) ?? []);
		return found.sort((a, b) => a.at.localeCompare(b.at));
	}

	add(queued: Queued): void {
		keep(`${this.prefix} ${queued.id}`, queued);
	}

	remove({ id }: Queued): void {
		try {
			localStorage.removeItem(`${this.prefix} ${id}`);
		} catch {
			// Where nothing can be kept nothing was.
		}
	}

	private names(): string[] {
		try {
			return Object.keys(localStorage).filter((name) => name.startsWith(`${this.prefix} `));
		} catch {
			return [];
		}
	}
}

export function isQueued(value: unknown): value is Queued {
	return checked(queuedSchema, value).ok;
}

/** This moment, as changes that wait are dated. */
export function momentNow(): string {
	return new Date().toISOString();
}
