import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/app-request';
import { copyAside, copyPath, databasePath, today } from '$lib/server/copies';
import { problem } from '$lib/server/problem';
import { openStore } from '$lib/server/store';
import type { RequestHandler } from './$types';

/** Goes back to a copy of the database; what is there now is put aside first. */
export const POST: RequestHandler = async (event) => {
	const read = await readChecked(event, 'copy');
	if (!read.ok) return read.refusal;
	const path = copyPath(databasePath(), read.value.file);
	if (!path) return problem(404, 'Not found', 'There is no such copy any more.');
	const { store } = event.locals;
	const copy = await openStore(path);
	const dump = await copy.dump().finally(() => copy.close());
	await copyAside(store, databasePath(), today(), true);
	await store.take(dump, 'replace');
	return json({});
};
