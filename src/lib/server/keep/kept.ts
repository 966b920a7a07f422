import type { Fault } from '$lib/core/formats';

/** Something in the database that cannot be read. It stays as it is, and everything else works. */
export interface SetAside {
	readonly what: 'notebook' | 'month' | 'kind' | 'set';
	readonly id: string;
	/** What it is called, as far as that can be told. */
	readonly name: string;
	readonly reason: string;
}

/** Thrown where something was asked for by its id and is set aside. */
export class FaultyRow extends Error {
	override readonly name = 'FaultyRow';

	constructor(readonly setAside: SetAside) {
		super(
			`The ${setAside.what} “${setAside.name}” cannot be read: ${setAside.reason}. It stays in the database as it is; everything else works.`
		);
	}
}

/** The first fault in words. */
export function reasonOf([fault]: readonly Fault[]): string {
	return fault ? `${fault.path} ${fault.message}`.trim() : 'it has faults';
}
