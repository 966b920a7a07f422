import { json } from '@sveltejs/kit';
import { checked, missing, record, whole, type Validator } from '$lib/core/formats';
import { faulty, problem, readJson } from './problem';
import type { Write } from './write';

const revisionSchema = record({
	revision: whole(1, Number.MAX_SAFE_INTEGER).required(missing)
}).required(missing);

/** A checked body, or the answer that refuses it. */
export type Read<T> =
	{ readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusal: Response };

/** Reads and checks a JSON body. */
export async function readChecked<T>(request: Request, schema: Validator<T>): Promise<Read<T>> {
	const body = await readJson(request);
	if (!body.ok) return body;
	const value = checked(schema, body.json);
	return value.ok ? value : { ok: false, refusal: faulty(value.faults) };
}

/** Reads a body that changes something already kept: its new content and the revision it is based on. */
export async function readChange<T>(
	request: Request,
	schema: Validator<T>
): Promise<Read<{ readonly revision: number; readonly content: T }>> {
	const body = await readJson(request);
	if (!body.ok) return body;
	const based = checked(revisionSchema, body.json);
	if (!based.ok) return { ok: false, refusal: faulty(based.faults) };
	const content = checked(schema, body.json);
	if (!content.ok) return { ok: false, refusal: faulty(content.faults) };
	return { ok: true, value: { revision: based.value.revision, content: content.value } };
}

/** The answer to a write: what is kept now, with 409 when somebody else wrote first. */
export function written<T>(write: Write<T>): Response {
	switch (write.outcome) {
		case 'written':
			return json(write.record);
		case 'conflict':
			return json(
				{
					title: 'Changed elsewhere',
					status: 409,
					detail: 'It was changed in another window meanwhile.',
					current: write.record
				},
				{ status: 409, headers: { 'content-type': 'application/problem+json' } }
			);
		case 'missing':
			return problem(404, 'Not found', 'There is nothing with this id.');
	}
}
