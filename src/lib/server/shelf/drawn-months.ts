import type { Person } from '$lib/core/fit';
import { placedMonths } from './shelf';
import type { DrawnFile } from '../archive/pack';
import type { Store } from './store';
import { sheetApart, TooMuch } from '../work';

/**
 * Every month as it is drawn, a PDF each, to be looked at without Horarium: “pages/Night blue A5/2027-05.pdf”. Of a month
 * that cannot be drawn in the time of one request a text says so in its place.
 */
export async function* drawnMonths(
	store: Store,
	person: Person,
	gone: AbortSignal
): AsyncGenerator<DrawnFile> {
	const used = new Set<string>();
	const fonts = await store.fonts.files();
	for (const { id, notebook, deleted } of await store.notebooks.all()) {
		if (deleted) continue;
		const folder = `pages/${fileWords(notebook.name)} ${id.slice(0, 8)}`;
		for await (const { record, plan, run, trouble } of placedMonths(store, id, notebook, person)) {
			const path = freePath(used, `${folder}/${record.month}`);
			const asked = { as: 'pdf', plan, run, query: '', fonts } as const;
			const drawn = trouble === undefined ? await sheetApart(asked, gone).catch(saidOf) : trouble;
			yield typeof drawn === 'string'
				? { path: `${path}.txt`, bytes: new TextEncoder().encode(`${drawn}\n`) }
				: { path: `${path}.pdf`, bytes: new Uint8Array(await drawn.arrayBuffer()) };
		}
	}
}

/** A name as every file system takes it. */
const fileWords = (name: string) => name.replace(/[^\p{L}\p{N}-]+/gu, ' ').trim();

/** A notebook may hold the same month twice. */
function freePath(used: Set<string>, path: string): string {
	for (let count = 1; ; count++) {
		const name = count === 1 ? path : `${path} ${count}`;
		if (used.has(name)) continue;
		used.add(name);
		return name;
	}
}

/** A month that is too much for one request must not keep all others from being saved. */
function saidOf(error: unknown): string {
	if (error instanceof TooMuch) return error.message;
	throw error;
}
