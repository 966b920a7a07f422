import type { Person } from '$lib/core/fit';
import { monthsInBook } from './shelf';
import type { Store } from './store';
import { sheetApart, TooMuch } from './work';

/** Files by their paths in an archive. */
export type Files = Readonly<Record<string, Uint8Array>>;

/**
 * Every month as it is drawn, a PDF each, to be looked at without Horarium: “pages/Night blue A5/2027-05.pdf”. Of a month
 * that cannot be drawn in the time of one request a text says so in its place.
 */
export async function drawnMonths(store: Store, person: Person, gone: AbortSignal): Promise<Files> {
	const files: Record<string, Uint8Array> = {};
	const fonts = await store.fonts.files();
	for (const { id, notebook, deleted } of await store.notebooks.all()) {
		if (deleted) continue;
		const folder = `pages/${fileWords(notebook.name)} ${id.slice(0, 8)}`;
		for (const { record, plan, run, trouble } of await monthsInBook(store, id, notebook, person)) {
			const path = freePath(files, `${folder}/${record.month}`);
			const asked = { as: 'pdf', plan, run, query: '', fonts } as const;
			const drawn = trouble === undefined ? await sheetApart(asked, gone).catch(saidOf) : trouble;
			if (typeof drawn === 'string') files[`${path}.txt`] = new TextEncoder().encode(`${drawn}\n`);
			else files[`${path}.pdf`] = new Uint8Array(await drawn.arrayBuffer());
		}
	}
	return files;
}

/** A name as every file system takes it. */
const fileWords = (name: string) => name.replace(/[^\p{L}\p{N}-]+/gu, ' ').trim();

/** A notebook may hold the same month twice. */
function freePath(files: Files, path: string): string {
	const taken = (name: string) => `${name}.pdf` in files || `${name}.txt` in files;
	for (let count = 1; ; count++) {
		const name = count === 1 ? path : `${path} ${count}`;
		if (!taken(name)) return name;
	}
}

/** A month that is too much for one request must not keep all others from being saved. */
function saidOf(error: unknown): string {
	if (error instanceof TooMuch) return error.message;
	throw error;
}
