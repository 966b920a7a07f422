import { json } from '@sveltejs/kit';
import { refusedQuery } from '$lib/server/app-request';
import { copyAside, databasePath, today } from '$lib/server/copies';
import { drawnMonths } from '$lib/server/drawn-months';
import { compared, waysIn } from '$lib/server/dump';
import { bytesOf, faulty, problem } from '$lib/server/problem';
import { mostFileBytes } from '$lib/server/shelf-file';
import { ShelfFault } from '$lib/server/store';
import { packApart, unpackApart } from '$lib/server/work';
import type { RequestHandler } from './$types';

/** Everything that is kept, as one ZIP, with its pages as they are drawn. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const refusal = refusedQuery(url, {});
	if (refusal) return refusal;
	const { store, person, gone } = locals;
	const drawn = await drawnMonths(store, person, gone);
	const bytes = await packApart({ dump: await store.dump(), drawn });
	return new Response(new Uint8Array(bytes), {
		headers: {
			'content-type': 'application/zip',
			'content-disposition': `attachment; filename="horarium-${today()}.zip"`
		}
	});
};

/** Takes such a ZIP in: `?way=look` says what would become of it, the others do it, after a copy was put aside. */
export const POST: RequestHandler = async ({ request, locals, url }) => {
	const refusal = refusedQuery(url, { way: ['look', ...waysIn] });
	if (refusal) return refusal;
	const asked = url.searchParams.get('way') ?? 'look';
	const bytes = await bytesOf(request, mostFileBytes);
	if (!bytes)
		return problem(413, 'Too large', `A file may have at most ${mostFileBytes} bytes here.`);
	const read = await unpackApart(bytes, locals.gone);
	if (!read.ok) return faulty(read.faults);
	const { store } = locals;
	const tables = compared(await store.dump(), read.dump);
	const way = waysIn.find((one) => one === asked);
	if (!way) return json({ tables });
	try {
		await copyAside(store, databasePath(), today(), true);
		await store.take(read.dump, way);
	} catch (error) {
		if (error instanceof ShelfFault)
			return faulty([{ path: 'file', message: `cannot be taken: ${error.message}` }]);
		throw error;
	}
	return json({ tables });
};
