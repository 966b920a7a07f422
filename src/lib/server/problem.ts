import type { Fault } from '$lib/core/formats';

/** Largest request body, 1 MiB. */
export const mostBytes = 1024 * 1024;

/** An error answer as RFC 9457 has it, with each fault and its place in the request. */
export function problem(
	status: number,
	title: string,
	detail: string,
	errors?: readonly Fault[]
): Response {
	return new Response(JSON.stringify({ type: 'about:blank', title, status, detail, errors }), {
		status,
		headers: { 'content-type': 'application/problem+json' }
	});
}

/** What a request's body holds, or the answer that refuses it. */
export type Body =
	| { readonly ok: true; readonly json: unknown }
	| { readonly ok: false; readonly refusal: Response };

/** So much of a body that is too large is still received, because who is cut off while sending hears no answer. */
const mostDrained = 32 * mostBytes;

/** Reads a JSON body of at most 1 MiB; of what is more nothing is kept. */
export async function readJson(request: Request): Promise<Body> {
	const refusal = (response: Response): Body => ({ ok: false, refusal: response });
	const tooLarge = () =>
		refusal(problem(413, 'Too large', `A request may have at most ${mostBytes} bytes.`));
	const chunks: Uint8Array[] = [];
	let bytes = 0;
	if (request.body) {
		const reader = request.body.getReader();
		for (let part = await reader.read(); !part.done; part = await reader.read()) {
			bytes += part.value.byteLength;
			if (bytes <= mostBytes) chunks.push(part.value);
			if (bytes > mostDrained) break;
		}
		if (bytes > mostBytes) {
			await reader.cancel();
			return tooLarge();
		}
	}
	try {
		const text = new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(chunks));
		return { ok: true, json: JSON.parse(text) };
	} catch {
		const errors = [{ path: '', message: 'is not JSON in UTF-8' }];
		return refusal(problem(400, 'Not JSON', 'The body must be a JSON document in UTF-8.', errors));
	}
}

/** The 400 answer to a document with faults. */
export function faulty(errors: readonly Fault[]): Response {
	const [first] = errors;
	const detail = first
		? `${first.path || 'The document'} ${first.message}.`
		: 'The document is wrong.';
	return problem(400, 'The document has faults', detail, errors);
}

/** The 400 answer to a month that names a notebook nobody keeps. */
export function unknownNotebook(): Response {
	return faulty([{ path: 'notebookId', message: 'is not the id of a notebook' }]);
}
