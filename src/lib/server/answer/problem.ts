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

/** The text of a request's body, or the answer that refuses it. */
export type Body =
	{ readonly ok: true; readonly text: string } | { readonly ok: false; readonly refusal: Response };

/** Reads the text of a JSON body of limited length. */
export async function readBody(request: Request, most = mostBytes): Promise<Body> {
	const refusal = (response: Response): Body => ({ ok: false, refusal: response });
	const type = request.headers.get('content-type');
	if (type?.split(';')[0]?.trim().toLowerCase() !== 'application/json') {
		const message = `must be application/json; ${type === null ? 'there is none' : `it is “${type}”`}`;
		return refusal(
			problem(415, 'Not JSON', `The content type ${message}.`, [{ path: 'content-type', message }])
		);
	}
	const bytes = await bytesOf(request, most);
	if (!bytes)
		return refusal(problem(413, 'Too large', `A request may have at most ${most} bytes here.`));
	try {
		return { ok: true, text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
	} catch {
		const errors = [{ path: '', message: 'is not UTF-8' }];
		return refusal(problem(400, 'Not UTF-8', 'The body must be a JSON document in UTF-8.', errors));
	}
}

/** The bytes of a body, or none when they are too many. */
export async function bytesOf(request: Request, most: number): Promise<Uint8Array | undefined> {
	if (!request.body) return new Uint8Array();
	const reader = request.body.getReader();
	const chunks: Uint8Array[] = [];
	let bytes = 0;
	for (let part = await reader.read(); !part.done; part = await reader.read()) {
		bytes += part.value.byteLength;
		if (bytes > most) {
			// Who is cut off while sending hears no answer, so the rest is received and forgotten.
			void forget(reader);
			return undefined;
		}
		chunks.push(part.value);
	}
	return Buffer.concat(chunks);
}

/** The chunks of a body, to be written somewhere; those beyond the limit are received and forgotten. */
export function boundedBody(
	request: Request,
	most: number
): { readonly chunks: AsyncIterable<Uint8Array>; readonly tooLong: () => boolean } {
	let bytes = 0;
	async function* chunks() {
		const reader = request.body?.getReader();
		if (!reader) return;
		for (let part = await reader.read(); !part.done; part = await reader.read()) {
			bytes += part.value.byteLength;
			if (bytes > most) return void forget(reader);
			yield part.value;
		}
	}
	return { chunks: chunks(), tooLong: () => bytes > most };
}

async function forget(reader: ReadableStreamDefaultReader<Uint8Array>): Promise<void> {
	try {
		while (!(await reader.read()).done);
	} catch {
		// The sender went away.
	}
}

/** The 400 answer to a document with faults. */
export function faulty(errors: readonly Fault[]): Response {
	const [first] = errors;
	const detail = first
		? `${first.path || 'The request'} ${first.message}.`
		: 'The request is wrong.';
	return problem(400, 'The request has faults', detail, errors);
}

/** The 422 answer to a document that asks for more than can be worked out at once. */
export function tooMuch(fault: Fault): Response {
	return problem(422, 'Too much', `${fault.path} ${fault.message}.`, [fault]);
}
