import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { knownLocale } from '$lib/core/month';
import { loadDemo } from '$lib/server/demo';
import { refuse, safeHeaders } from '$lib/server/guard';
import { problem } from '$lib/server/problem';
import { openStore, type Store } from '$lib/server/store';

let store: Store | undefined;

export const init: ServerInit = async () => {
	store = await openStore(process.env.HORARIUM_DB ?? 'data/horarium.db');
	if (process.env.HORARIUM_DEMO) await loadDemo(store);
};

export const handle: Handle = async ({ event, resolve }) => {
	const refusal = refuse(event.request);
	if (refusal) return refusal;
	if (!store) return problem(503, 'Not ready', 'The database is not open yet.');
	event.locals.store = store;
	const theme = event.cookies.get('theme');
	event.locals.theme = theme === 'light' || theme === 'dark' ? theme : 'system';
	event.locals.person = {
		locale:
			(await store.person.language()) ??
			preferredLocale(event.request.headers.get('accept-language')),
		hand: await store.person.hand()
	};
	const response = await resolve(event, {
		transformPageChunk: ({ html }) => html.replace('%horarium.theme%', event.locals.theme)
	});
	for (const [name, value] of Object.entries(safeHeaders)) response.headers.set(name, value);
	return response;
};

export const handleError: HandleServerError = ({ error, status, message }) => {
	if (status !== 404) console.error(error);
	return { message: status === 404 ? 'There is nothing at this address.' : message };
};

function preferredLocale(header: string | null): string {
	return knownLocale(header?.split(',')[0]?.split(';')[0]?.trim() || undefined);
}
