import { checked, planSchema, toPlan } from '$lib/core/formats';
import type { Plan } from '$lib/core/fit';
import { faulty, readJson } from './problem';

/** The plan in a request's body, or the answer that says what is wrong with it. */
export async function readPlan(
	request: Request
): Promise<
	{ readonly ok: true; readonly plan: Plan } | { readonly ok: false; readonly refusal: Response }
> {
	const body = await readJson(request);
	if (!body.ok) return body;
	const document = checked(planSchema, body.json);
	if (!document.ok) return { ok: false, refusal: faulty(document.faults) };
	return { ok: true, plan: toPlan(document.value) };
}
