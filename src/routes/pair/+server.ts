import { setTimeout as after } from 'node:timers/promises';
import { redirect } from '@sveltejs/kit';
import { bytesOf } from '$lib/server/answer/problem';
import { guess } from '$lib/server/network/pairing';
import { pairPage } from '$lib/server/network/pair-page';
import { deviceCookie } from '$lib/server/network/shared';
import type { RequestHandler } from './$types';

/** A wrong guess is answered no sooner. */
const wrongMs = 1000;
/** Six digits and a name of sixty letters, each of up to twelve signs there. */
const mostBytes = 4096;
const yearS = 365 * 24 * 60 * 60;

/** The page on which a device is paired; a code in the address, as a picture holds it, is written in already. */
export const GET: RequestHandler = ({ url }) => pairPage(url.searchParams.get('code') ?? '', '');

/** Pairs the device that knows the code. */
export const POST: RequestHandler = async ({ request, locals, cookies }) => {
	// Nobody is known yet: no more is read than the form can hold.
	const type = request.headers.get('content-type')?.split(';')[0]?.trim().toLowerCase();
	if (type !== 'application/x-www-form-urlencoded')
		return pairPage('', 'This page takes what its own form sends, and nothing else.', 415);
	const body = await bytesOf(request, mostBytes);
	if (!body) return pairPage('', 'This is more than six digits and a name.', 413);
	const form = new URLSearchParams(new TextDecoder().decode(body));
	const text = (name: string) => (form.get(name) ?? '').trim();
	const code = text('code').replaceAll(/\s/g, '');
	const became = guess(code, Date.now());
	if (became !== 'right') {
		await after(wrongMs);
		const says =
			became === 'wrong'
				? 'This is not the code that is shown on the machine. After five wrong ones a new code is needed.'
				: 'No code holds at the moment. Ask for a new one on the machine: Notebooks, Tablet beside the book.';
		return pairPage('', says, 403);
	}
	const token = await locals.store.devices.pair(text('name').slice(0, 60) || 'Tablet');
	cookies.set(deviceCookie, token, {
		path: '/',
		httpOnly: true,
		sameSite: 'strict',
		// The network at home is asked without encryption.
		secure: false,
		maxAge: yearS
	});
	redirect(303, '/');
};
