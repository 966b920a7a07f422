import type { Sent } from './keeping/saver.svelte';
import { sameContent } from '$lib/core/wish';

const mostKeptAlive = 15_000;

/** An answer of this server: what it holds, or what went wrong. */
export type Answer =
	| { readonly kind: 'ok'; readonly body: unknown }
	| { readonly kind: 'conflict'; readonly body: unknown }
	| { readonly kind: 'refused'; readonly message: string }
	/** The server has a trouble that may pass, such as a locked database. */
	| { readonly kind: 'troubled'; readonly message: string }
	| { readonly kind: 'unreached' };

/** Sends JSON to this server. Never throws: every way to fail is a kind of answer. */
export async function send(
	method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE',
	path: string,
	content?: unknown
): Promise<Answer> {
	let response: Response;
	const text = content === undefined ? undefined : JSON.stringify(content);
	try {
		response = await fetch(path, {
			method,
			headers: content === undefined ? {} : { 'content-type': 'application/json' },
			body: text,
			// A write that is under way is finished when the page closes; browsers do that for small ones.
			keepalive: text !== undefined && text.length < mostKeptAlive
		});
	} catch {
		return { kind: 'unreached' };
	}
	const body: unknown = await response.json().catch(() => undefined);
	if (response.ok) return { kind: 'ok', body };
	if (response.status === 409) return { kind: 'conflict', body };
	const message = textOf(body, 'detail') ?? `Refused (${response.status}).`;
	return { kind: response.status === 503 ? 'troubled' : 'refused', message };
}

/** What to tell a person of an answer that did not do what was asked. */
export function troubleOf(answer: Exclude<Answer, { kind: 'ok' }>): string {
	if ('message' in answer) return answer.message;
	return answer.kind === 'unreached'
		? 'Horarium does not answer. Try again.'
		: (textOf(answer.body, 'detail') ?? 'It was changed in another window.');
}

/** Writes a change to something kept, on top of a revision; tells what became of it. */
export async function putChange<T>(
	path: string,
	revision: number,
	content: T,
	bodyOf: (content: T) => object
): Promise<Sent<T>> {
	const answer = await send('PUT', path, { revision, ...bodyOf(content) });
	if (answer.kind !== 'ok' && answer.kind !== 'conflict') return answer;
	const now = numberOf(answer.body, 'revision');
	if (now === undefined) return { kind: 'refused', message: 'The answer has no revision.' };
	if (answer.kind === 'ok') return { kind: 'written', revision: now };
	if (fieldOf(answer.body, 'deleted') === true) return { kind: 'deleted', revision: now };
	const current = fieldOf(answer.body, 'current');
	const ours = (sent: T) =>
		Object.entries(bodyOf(sent)).every(([name, value]) =>
			sameContent(value, fieldOf(current, name))
		);
	return { kind: 'conflict', revision: now, ours };
}

/** A text field of an answer, such as the id of what was made. */
export function textOf(body: unknown, field: string): string | undefined {
	const value = fieldOf(body, field);
	return typeof value === 'string' ? value : undefined;
}

/** A number field of an answer; of a conflict, that of what is kept now. */
function numberOf(body: unknown, field: string): number | undefined {
	const value = fieldOf(fieldOf(body, 'current') ?? body, field);
	return typeof value === 'number' ? value : undefined;
}

function fieldOf(body: unknown, field: string): unknown {
	if (typeof body !== 'object' || body === null) return undefined;
	return Object.entries(body).find(([name]) => name === field)?.[1];
}
