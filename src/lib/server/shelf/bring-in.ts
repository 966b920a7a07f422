import type { Fault } from '$lib/core/formats';
import { partBeside, removePart } from '../keep/part-files';
import type { Left } from '../archive/readable';
import type { Compared, WayIn } from '../archive/take';
import { copyBefore, databasePath } from './copies';
import type { Store } from './store';
import { unpackApart } from '../work';

/** Something that is brought in: an archive, or a copy of the database. */
interface Source {
	readonly from: 'archive' | 'copy';
	readonly file: string;
}

/** How what was brought stands to what was here before, and what of it could not be read. */
export interface Became {
	readonly tables: readonly Compared[];
	readonly left: readonly Left[];
}

export type Brought =
	{ readonly ok: true; readonly became: Became } | { readonly ok: false; readonly fault: Fault };

/**
 * Reads something into a database of its own, says how it stands to what is here and, unless it is only looked at, takes it in
 * after a copy was put aside.
 */
export async function bringIn(
	store: Store,
	{ from, file }: Source,
	way: WayIn | 'look',
	gone: AbortSignal
): Promise<Brought> {
	const into = partBeside(databasePath());
	try {
		const read = await unpackApart({ from, file, into }, gone);
		if (!read.ok) return { ok: false, fault: read.fault };
		const { left } = read;
		const became = { tables: await store.compare(into), left };
		if (way !== 'look') {
			await copyBefore(store, databasePath());
			await store.take(into, way, left);
		}
		return { ok: true, became };
	} finally {
		removePart(into);
	}
}
