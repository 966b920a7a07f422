import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import { mayAskThisMachine } from '$lib/server/network/asked-from';
import { printLabel } from '$lib/server/network/label-printer';
import { keptSheet } from '$lib/server/shelf/month-sheet';
import { problem } from '$lib/server/answer/problem';
import type { RequestHandler } from './$types';

/** Prints one label of a kept month; the printer's address is remembered once it has printed. */
export const POST: RequestHandler = async (event) => {
	const read = await readChecked(event, 'label');
	if (!read.ok) return read.refusal;
	const { address, set, high, label } = read.value;
	const query = new URLSearchParams({ sets: set, high: String(high), label: String(label) });
	const picture = await keptSheet(event.locals, event.params.id, { as: 'label', query });
	if (!picture.ok) return picture;
	const at = address.trim().replace(/\/+$/, '');
	const bytes = new Uint8Array(await picture.arrayBuffer());
	const printed = await printLabel(at, bytes, await mayAskThisMachine(event, at));
	if (!printed.ok) return problem(502, 'Not printed', printed.says);
	const { person } = event.locals.store;
	await person.setOutside({ ...(await person.outside()), printer: at });
	return json({ leftMm: printed.leftMm });
};
