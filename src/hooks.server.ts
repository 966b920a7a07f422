import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { knownLocale } from '$lib/core/month';
import { loadDemo } from '$lib/server/shelf/demo';
import { goneSignal } from '$lib/server/network/gone';
import { refuse, safeHeaders } from '$lib/server/network/guard';
import { problem } from '$lib/server/answer/problem';
import { deviceCookie, sharedBy } from '$lib/server/network/shared';
import {
	clearForgotten,
	clearUnfinished,
	copyNightly,
	databasePath
} from '$lib/server/shelf/copies';
import { openStore, type Store } from '$lib/server/shelf/store';
import { asProblem, inOneShape, told } from '$lib/server/shelf/troubles';

let store: Store | undefined;

export const init: ServerInit = async () => {
	clearUnfinished(databasePath());
	const opened = await openStore(databasePath());
	// However the process ends, everything is in the one file.
	process.once('exit', () => opened.close());
	if (process.env.HORARIUM_DEMO) await loadDemo(opened);
	await clearForgotten(opened);
	copyNightly(opened, databasePath());
	store = opened;
};

export const handle: Handle = async ({ event, resolve }) => {
	const shared = sharedBy(event.platform?.req);
	const refusal = refuse(event.request, shared);
	if (refusal) return refusal;
	if (!store) throw new Error('a request came in before the database was open');
	const { locals } = event;
	locals.store = store;
	if (shared && event.url.pathname !== '/pair') {
		const token = event.cookies.get(deviceCookie);
		if (token === undefined || !(await store.devices.knows(token)))
			return problem(401, 'Not paired', 'This device is not paired.');
	}
	locals.gone = goneSignal(event.platform?.req);
	const theme = event.cookies.get('theme');
	locals.theme = theme === 'light' || theme === 'dark' ? theme : 'system';
	const preferred = preferredLocale(event.request.headers.get('accept-language'));
	const { person } = store;
	try {
		locals.person = {
			locale: (await person.language()) ?? preferred,
			hand: await person.hand()
		};
		const response = await resolve(event, {
			transformPageChunk: ({ html }) => html.replace('%horarium.theme%', locals.theme)
		});
		return withHeaders(await inOneShape(event.url.pathname, response, locals.trouble));
	} catch (error) {
		// Even the way to a page needs the database; without it the trouble is told in place of the page.
		const known = told(error);
		if (known) return withHeaders(asProblem(known));
		throw error;
	}
};

export const handleError: HandleServerError = ({ error, status, message, event }) => {
	event.locals.trouble = error;
	if (status === 404) return { message: 'There is nothing at this address.' };
	const known = told(error);
	if (!known) console.error(error);
	return { message: known?.sentence ?? message };
};

function withHeaders(response: Response): Response {
	for (const [name, value] of Object.entries(safeHeaders))
		if (!response.headers.has(name)) response.headers.set(name, value);
	return response;
}

function preferredLocale(header: string | null): string {
	return knownLocale(header?.split(',')[0]?.split(';')[0]?.trim() || undefined);
}
