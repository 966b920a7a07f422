import type { Fault } from '$lib/core/formats';

/** What a query may ask: names of its parameters, each with the values allowed, or `any` that is checked later. */
export type Asks = Readonly<Record<string, readonly string[] | 'any'>>;

/** What is wrong with a query: parameters that do not exist, or come twice, and values that they do not have. */
export function queryFaults(query: URLSearchParams, asks: Asks): Fault[] {
	const names = [...new Set(query.keys())];
	return names.flatMap((name): Fault[] => {
		const allowed = Object.hasOwn(asks, name) ? asks[name] : undefined;
		const known = Object.keys(asks);
		if (!allowed)
			return [
				{
					path: name,
					message: `is no parameter of this address; ${known.length > 0 ? `it has ${known.join(', ')}` : 'it has none'}`
				}
			];
		const [value, ...more] = query.getAll(name);
		if (more.length > 0) return [{ path: name, message: 'may be given once' }];
		if (allowed === 'any' || allowed.includes(value ?? '')) return [];
		return [{ path: name, message: `must be ${allowed.join(' or ')}; it is “${value}”` }];
	});
}
