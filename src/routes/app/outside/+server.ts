import { json } from '@sveltejs/kit';
import { readChecked } from '$lib/server/shelf/app-request';
import { problem } from '$lib/server/answer/problem';
import { mayAskThisMachine } from '$lib/server/network/asked-from';
import { reach } from '$lib/server/network/reach';
import type { RequestHandler } from './$types';

/** Asks an address that a person entered, on this machine or network; it is remembered once it has answered. */
export const POST: RequestHandler = async (event) => {
	const read = await readChecked(event, 'outside');
	if (!read.ok) return read.refusal;
	const { what, address, path, tag } = read.value;
	const { person } = event.locals.store;
	const reached = await reach(`${address.trim().replace(/\/+$/, '')}${path ?? ''}`, {
		tag,
		loopback: await mayAskThisMachine(event, address)
	});
	if (reached.kind === 'trouble') return problem(502, 'Not reached', reached.says);
	await person.setOutside({ ...(await person.outside()), [what]: address.trim() });
	return json(reached);
};
