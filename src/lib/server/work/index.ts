import type { Plan, Run } from '$lib/core/fit';
import type { Checked } from '$lib/core/formats';
import type { MakingPlan } from '$lib/core/making';
import type { ApiRequest } from '../answer/api-answers';
import type { FontCheck } from '../archive/font-check';
import type { BodyName, BodyOf } from '../keep/schemas';
import type { SheetRequest } from '../answer/sheet-answers';
import { unpack } from './packed';
import { inThread, patienceForArchives, patienceForKept, threads } from './pool';
import { tasks, type MakingRequest, type UnpackRequest, type Unpacked } from './tasks';

export { Busy, Gone } from './pool';
export { TooMuch } from './too-much';

/** Checks the text of a request's body: one that is allowed may still take long. */
export function checkBody<Name extends BodyName>(
	schema: Name,
	body: string,
	gone: AbortSignal
): Promise<Checked<BodyOf<Name>>> {
	const pool = threads();
	const input = { schema, body };
	return pool ? inThread(pool, { name: 'check', input }, gone) : tasks.check(input);
}

/** The run of a month that is kept. */
export function runApart(plan: Plan, gone?: AbortSignal): Promise<Run> {
	const pool = threads();
	return pool
		? inThread(pool, { name: 'run', input: plan }, gone, patienceForKept)
		: tasks.run(plan);
}

/** The answer to a request of the open API. */
export async function answerApart(input: ApiRequest, gone: AbortSignal): Promise<Response> {
	const pool = threads();
	return unpack(
		await (pool ? inThread(pool, { name: 'answer', input }, gone) : tasks.answer(input))
	);
}

/** A kept month's pages, drawn. */
export async function sheetApart(input: SheetRequest, gone: AbortSignal): Promise<Response> {
	const pool = threads();
	return unpack(
		await (pool
			? inThread(pool, { name: 'sheet', input }, gone, patienceForKept)
			: tasks.sheet(input))
	);
}

/** The sittings in which a month is made. */
export function makingApart(input: MakingRequest): Promise<MakingPlan> {
	const pool = threads();
	return pool
		? inThread(pool, { name: 'making', input }, undefined, patienceForKept)
		: tasks.making(input);
}

/** Reads an archive or a copy into a database of its own: what somebody sends may be anything. */
export function unpackApart(input: UnpackRequest, gone: AbortSignal): Promise<Unpacked> {
	const pool = threads();
	return pool
		? inThread(pool, { name: 'unpack', input }, gone, patienceForArchives)
		: tasks.unpack(input);
}

/** Whether a font file can be written with: what somebody sends may be anything. */
export function fontApart(file: Uint8Array, gone: AbortSignal): Promise<FontCheck> {
	const pool = threads();
	return pool ? inThread(pool, { name: 'font', input: file }, gone) : tasks.font(file);
}
