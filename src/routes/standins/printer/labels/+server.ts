import { json } from '@sveltejs/kit';
import { bytesOf } from '$lib/server/answer/problem';
import { onlyWithStandins } from '$lib/server/network/standins';
import { behaviour, inCharacter, printerStatus, printPicture } from '$lib/standins';
import type { RequestHandler } from './$types';

const mostBytes = 1_000_000;

/** Prints a label: a portable bitmap of one bit a dot. */
export const POST: RequestHandler = async ({ request }) => {
	onlyWithStandins();
	const file = await bytesOf(request, mostBytes);
	return inCharacter(() => {
		const before = printerStatus(behaviour());
		if (before.state !== 'ready') return json(before, { status: 409 });
		const became = file ? printPicture(file) : 'no bitmap';
		if (became === 'no bitmap')
			return new Response('no bitmap that fits the tape', { status: 400 });
		return json(printerStatus(behaviour()), { status: became === 'printed' ? 200 : 409 });
	});
};
