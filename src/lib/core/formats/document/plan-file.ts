import { checked, planFormat, planSchema, planVersion, type PlanDocument } from './plan-document';

/** A plan from a file, or what is wrong with the file, in words. */
export type PlanFile =
	| { readonly ok: true; readonly document: PlanDocument }
	| { readonly ok: false; readonly reasons: readonly string[] };

const mostReasons = 8;
/** Largest file, and largest request that takes one: a month of the longest request, written out with its book. */
export const mostImportBytes = 8 * 1024 * 1024;

/** Reads a plan document from the text of a file; nothing of a faulty file is taken. */
export function readPlanFile(text: string): PlanFile {
	let json: unknown;
	try {
		json = JSON.parse(text);
	} catch {
		return refused('This is no JSON file, so it is no plan of Horarium.');
	}
	if (typeof json !== 'object' || json === null || Array.isArray(json))
		return refused('This file holds no plan.');
	const { format, version }: { format?: unknown; version?: unknown } = json;
	if (format !== planFormat)
		return refused(`This file holds no plan: its format is not “${planFormat}”.`);
	if (typeof version === 'number' && version > planVersion)
		return refused(
			`This plan was written by a newer Horarium (version ${version} of the format; this one reads up to ${planVersion}). Bring this one up to date first.`
		);
	const read = checked(planSchema, json);
	if (read.ok) return { ok: true, document: read.value };
	const reasons = read.faults.map(({ path, message }) => `${path || 'the file'} ${message}`);
	const more = reasons.length - mostReasons;
	return {
		ok: false,
		reasons: [...reasons.slice(0, mostReasons), ...(more > 0 ? [`and ${more} more`] : [])]
	};
}

function refused(reason: string): PlanFile {
	return { ok: false, reasons: [reason] };
}
