import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import { bringIn } from '$lib/server/shelf/bring-in';
import { copyPath, databasePath } from '$lib/server/shelf/copies';
import { faulty, problem } from '$lib/server/answer/problem';
import type { RequestHandler } from './$types';

/** Goes back to a copy of the database; what is there now is put aside first. */
export const POST: RequestHandler = async (event) => {
	const read = await readChecked(event, 'copy');
	if (!read.ok) return read.refusal;
	const file = copyPath(databasePath(), read.value.file);
	if (!file) return problem(404, 'Not found', 'There is no such copy any more.');
	const { store, gone } = event.locals;
	const brought = await bringIn(store, { from: 'copy', file }, 'replace', gone);
	return brought.ok ? json(brought.became) : faulty([brought.fault]);
};
