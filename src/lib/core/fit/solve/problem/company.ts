/** Prices of sharing a page: whole, like all prices of a problem. */
export interface Company {
	/** Each purpose on a page beyond the first, and each stranger that is not alone on it. */
	readonly purpose: number;
	/** Anything at all on a page that a spread keeps for itself, once a page, in place of the other price. */
	readonly kept: number;
}

/** Where prices of company are of no interest. */
export const freeOfCharge: Company = { purpose: 0, kept: 0 };

/** What is on a page before its group comes: purposes as bits, or that a spread keeps the page for itself. */
export type Host = number;
export const keptPage: Host = -1;

/** In place of a purpose: what is a stranger to everything, its own kind too. */
export const stranger = 128;

/** How many bits are set. */
function bits(mask: number): number {
	let count = 0;
	for (let left = mask; left > 0; left &= left - 1) count++;
	return count;
}

/** What a member of a purpose costs in company, beside a host and members of some purposes. */
export function joining(
	{ purpose: each, kept }: Company,
	host: Host,
	some: { readonly count: number; readonly purposes: number },
	purpose: number
): number {
	if (host === keptPage) return some.count === 0 ? kept : 0;
	const there = host | some.purposes;
	const known = purpose !== stranger && (purpose & ~there) === 0;
	return there === 0 || known ? 0 : each;
}

/** The least that members which are sure to come cost in company, all of them together; strangers among them count as one. */
export function sureCompany(
	{ purpose: each, kept }: Company,
	host: Host,
	some: { readonly count: number; readonly purposes: number },
	sure: { readonly count: number; readonly purposes: number }
): number {
	if (host === keptPage) return some.count === 0 && sure.count > 0 ? kept : 0;
	const there = host | some.purposes;
	const more = bits(sure.purposes & ~there);
	return each * (there === 0 ? Math.max(0, more - 1) : more);
}
