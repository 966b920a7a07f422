import { createHash, randomBytes } from 'node:crypto';
import type { Db } from '../keep/database';
import { newId, now, writing } from '../keep/write';

/** A tablet that may look at Horarium over the network. */
export interface Device {
	readonly id: string;
	readonly name: string;
	/** When it was paired (ISO 8601). */
	readonly paired: string;
}

const tokenBytes = 32;

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');

/** Devices that are paired. A token is known only to its device; here its hash is. */
export class Devices {
	constructor(private readonly db: Db) {}

	async all(): Promise<Device[]> {
		const rows = await this.db
			.selectFrom('device')
			.select(['id', 'name', 'created_at'])
			.orderBy('created_at')
			.execute();
		return rows.map(({ id, name, created_at }) => ({ id, name, paired: created_at }));
	}

	/** Lets a device in, and gives the token that it proves itself with from now on. */
	async pair(name: string): Promise<string> {
		const token = randomBytes(tokenBytes).toString('base64url');
		const row = { id: newId(), name, token_hash: hashOf(token), created_at: now() };
		await writing(this.db, (tx) => tx.insertInto('device').values(row).execute());
		return token;
	}

	/** Whether a token is that of a device that is paired. */
	async knows(token: string): Promise<boolean> {
		const found = await this.db
			.selectFrom('device')
			.select('id')
			.where('token_hash', '=', hashOf(token))
			.executeTakeFirst();
		return found !== undefined;
	}

	/** Puts a device out. */
	async remove(id: string): Promise<void> {
		await writing(this.db, (tx) => tx.deleteFrom('device').where('id', '=', id).execute());
	}
}
