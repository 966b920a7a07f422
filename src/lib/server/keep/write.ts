import { randomUUID } from 'node:crypto';
import { setTimeout } from 'node:timers/promises';
import type { Transaction } from 'kysely';
import type { Db, Tables } from './database';
import { isBusy } from './trouble';

/**
 * What became of a write: done; refused because somebody else wrote first (with what they wrote) or deleted it;
 * or there is nothing with that id.
 */
export type Write<T> =
	| { readonly outcome: 'written'; readonly record: T }
	| { readonly outcome: 'conflict'; readonly record: T }
	| { readonly outcome: 'deleted'; readonly record: T }
	| { readonly outcome: 'missing' };

const patienceMs = 5000;
const pauseMs = 25;

/**
 * Does some writing, all of it or nothing. While another program holds the file it is tried again, without
 * keeping others from reading meanwhile. Inside a transaction it belongs to that one.
 */
export async function writing<T>(
	db: Db,
	work: (transaction: Transaction<Tables>) => Promise<T>
): Promise<T> {
	if (isTransaction(db)) return work(db);
	const until = Date.now() + patienceMs;
	for (;;) {
		try {
			return await db.transaction().execute(work);
		} catch (error) {
			if (!isBusy(error) || Date.now() > until) throw error;
		}
		await setTimeout(pauseMs);
	}
}

function isTransaction(db: Db): db is Transaction<Tables> {
	return db.isTransaction;
}

/** What became of a write, from what stands in the database after it. */
export function outcomeOf<T extends { readonly deleted: boolean }>(
	written: boolean,
	record: T | undefined
): Write<T> {
	if (!record) return { outcome: 'missing' };
	if (written) return { outcome: 'written', record };
	return { outcome: record.deleted ? 'deleted' : 'conflict', record };
}

/** An id that nothing else has. */
export function newId(): string {
	return randomUUID();
}

/** The present moment, as the database keeps it. */
export function now(): string {
	return new Date().toISOString();
}
