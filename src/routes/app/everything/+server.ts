import { json } from '@sveltejs/kit';
import { createWriteStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { refusedQuery } from '$lib/server/shelf/app-request';
import { partBeside, removePart } from '$lib/server/keep/part-files';
import { waysIn } from '$lib/server/archive/take';
import { mostFileBytes } from '$lib/server/archive/unpack';
import { databasePath, today } from '$lib/server/shelf/copies';
import { drawnMonths } from '$lib/server/shelf/drawn-months';
import { boundedBody, faulty, problem } from '$lib/server/answer/problem';
import { openStore } from '$lib/server/shelf/store';
import { bringIn } from '$lib/server/shelf/bring-in';
import type { RequestHandler } from './$types';

/** Everything that is kept, as one ZIP, with its pages as they are drawn. It is packed from a copy as it is sent. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const refusal = refusedQuery(url, {});
	if (refusal) return refusal;
	const { store, person, gone } = locals;
	const path = partBeside(databasePath());
	await store.copyTo(path);
	const copy = await openStore(path);
	const bytes = copy.packed(drawnMonths(copy, person, gone), store.photographFolder);
	bytes.once('close', () => {
		copy.close();
		removePart(path);
	});
	gone.addEventListener('abort', () => bytes.destroy());
	const chunks = bytes[Symbol.asyncIterator]();
	const body = new ReadableStream<Uint8Array>({
		async pull(controller) {
			const next = await chunks.next();
			if (next.done) controller.close();
			else controller.enqueue(next.value);
		},
		cancel: () => void bytes.destroy()
	});
	return new Response(body, {
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
	const file = partBeside(databasePath());
	try {
		const body = boundedBody(request, mostFileBytes);
		await pipeline(body.chunks, createWriteStream(file));
		if (body.tooLong())
			return problem(413, 'Too large', `A file may have at most ${mostFileBytes} bytes here.`);
		const way = waysIn.find((one) => one === url.searchParams.get('way')) ?? 'look';
		const brought = await bringIn(locals.store, { from: 'archive', file }, way, locals.gone);
		return brought.ok ? json(brought.became) : faulty([brought.fault]);
	} finally {
		removePart(file);
	}
};
