import { writeFile } from 'node:fs/promises';
import { strFromU8, unzipSync } from 'fflate';
import { buffer } from 'node:stream/consumers';
import type { Store } from '../../src/lib/server/shelf/store';
import type { TableName } from '../../src/lib/server/archive/tables';

export type JsonRow = Record<string, unknown>;

/** An archive of everything, whole. */
export async function archiveOf(store: Store): Promise<Uint8Array> {
	return new Uint8Array(await buffer(store.packed()));
}

/** All that a store holds: tables by name, as its archive has them, its font files and photographs. */
export async function everythingIn(store: Store): Promise<Record<string, JsonRow[] | string>> {
	const parts = unzipSync(await archiveOf(store));
	return Object.fromEntries(
		Object.entries(parts).flatMap(([path, bytes]): [string, JsonRow[] | string][] => {
			if (/^(fonts|photographs)\//.test(path))
				return [[path, Buffer.from(bytes).toString('base64')]];
			const table = /^tables\/(.+)\.json$/.exec(path)?.[1];
			return table ? [[table, rowsIn(parts, path)]] : [];
		})
	);
}

/** The rows of a part of an archive. */
export function rowsIn(parts: Record<string, Uint8Array>, path: string): JsonRow[] {
	const rows: unknown = JSON.parse(strFromU8(parts[path] ?? new Uint8Array()));
	if (!Array.isArray(rows)) throw new Error(`${path} is no list`);
	return rows;
}

export const tableFile = (table: TableName) => `tables/${table}.json`;

/** Puts bytes into a file, and gives its path. */
export async function fileWith(path: string, bytes: Uint8Array): Promise<string> {
	await writeFile(path, bytes);
	return path;
}
