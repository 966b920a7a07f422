import { randomUUID } from 'node:crypto';

/**
 * What became of a write: done; refused because somebody else wrote first (with what they wrote); or
 * there is nothing with that id.
 */
export type Write<T> =
	| { readonly outcome: 'written'; readonly record: T }
	| { readonly outcome: 'conflict'; readonly record: T }
	| { readonly outcome: 'missing' };

/** An id that nothing else has. */
export function newId(): string {
	return randomUUID();
}

/** The present moment, as the database keeps it. */
export function now(): string {
	return new Date().toISOString();
}
