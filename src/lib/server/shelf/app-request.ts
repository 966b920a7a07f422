import { json } from '@sveltejs/kit';
import type { RequestEvent } from '@sveltejs/kit';
import { asks, type ApiRoute } from '../answer/api-answers';
import { bytesOf, faulty, problem, readBody } from '../answer/problem';
import { queryFaults, type Asks } from '../answer/query';
import { mostPhotographBytes } from '../keep/photograph-files';
import type { BodyName, BodyOf } from '../keep/schemas';
import type { Write } from '../keep/write';
import { answerApart, checkBody } from '../work';

/** A checked body, or the answer that refuses it. */
export type Read<T> =
	{ readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusal: Response };

/** Reads and checks the JSON body of a request that has no query. */
export async function readChecked<Name extends BodyName>(
	{ request, url, locals }: RequestEvent,
	schema: Name,
	mostBytes?: number
): Promise<Read<BodyOf<Name>>> {
	const query = refusedQuery(url, asks.none);
	if (query) return { ok: false, refusal: query };
	const body = await readBody(request, mostBytes);
	if (!body.ok) return body;
	const read = await checkBody(schema, body.text, locals.gone);
	return read.ok ? read : { ok: false, refusal: faulty(read.faults) };
}

/** Reads a picture that is meant for a month. */
export async function readPicture(
	{ request, locals }: RequestEvent,
	monthId: string
): Promise<Read<Uint8Array>> {
	const refuse = (refusal: Response): Read<Uint8Array> => ({ ok: false, refusal });
	if (!(await locals.store.months.find(monthId)))
		return refuse(problem(404, 'Not found', 'There is no month with this id.'));
	const value = await bytesOf(request, mostPhotographBytes);
	if (value) return { ok: true, value };
	const most = `A picture may have at most ${mostPhotographBytes / 1024 ** 2} MB.`;
	return refuse(problem(413, 'Too large', most));
}

/** Answers a request of the open API. */
export async function apiResponse(
	{ request, url, locals }: RequestEvent,
	route: ApiRoute
): Promise<Response> {
	const body = await readBody(request);
	if (!body.ok) return body.refusal;
	const plain = request.headers.get('accept')?.includes('text/plain') ?? false;
	const fonts = await locals.store.fonts.files();
	return answerApart({ route, body: body.text, query: url.search, plain, fonts }, locals.gone);
}

/** The answer to a query that an address does not take. */
export function refusedQuery(url: URL, allowed: Asks): Response | undefined {
	const faults = queryFaults(url.searchParams, allowed);
	return faults.length > 0 ? faulty(faults) : undefined;
}

/** What a write that was not done is about, for the sentence that says so. */
type Kept = 'month' | 'notebook';

/** The answer to a write: what is kept now, with 409 when somebody else wrote or deleted it first. */
export function written<T>(write: Write<T>, what: Kept): Response {
	switch (write.outcome) {
		case 'written':
			return json(write.record);
		case 'conflict':
			return conflict('Changed elsewhere', `This ${what} was changed in another window.`, {
				current: write.record
			});
		case 'deleted':
			return conflict('Deleted elsewhere', `This ${what} was deleted in another window.`, {
				current: write.record,
				deleted: true
			});
		case 'missing':
			return problem(404, 'Not found', `There is no ${what} with this id.`);
	}
}

function conflict(title: string, detail: string, more: object): Response {
	return Response.json(
		{ type: 'about:blank', title, status: 409, detail, ...more },
		{ status: 409, headers: { 'content-type': 'application/problem+json' } }
	);
}
