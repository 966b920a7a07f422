import { problem } from '../answer/problem';

const loopback = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;
const reading = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Refuses requests that a page elsewhere could have caused: a `Host` that is not this machine's
 * loopback (a name made to point here), and writes whose origin is another page. Undefined when the
 * request may pass. Programs on this machine that send no `Origin` may write. What came in by an address on the network,
 * `shared`, must ask for exactly that one.
 */
export function refuse(request: Request, shared?: string): Response | undefined {
	const host = request.headers.get('host') ?? '';
	if (shared === undefined ? !loopback.test(host) : host !== shared)
		return problem(421, 'Wrong host', `This server answers on localhost only, not as ${host}.`);
	if (reading.has(request.method)) return undefined;
	const origin = request.headers.get('origin');
	const site = request.headers.get('sec-fetch-site');
	const foreignOrigin = origin !== null && origin !== `http://${host}`;
	const foreignSite = site !== null && site !== 'same-origin' && site !== 'none';
	return foreignOrigin || foreignSite
		? problem(403, 'Foreign page', 'Another page may not write here.')
		: undefined;
}

/** Headers of every answer besides the content security policy, which pages set themselves. */
export const safeHeaders: Readonly<Record<string, string>> = {
	'x-content-type-options': 'nosniff',
	'referrer-policy': 'no-referrer',
	'cross-origin-opener-policy': 'same-origin',
	'cross-origin-resource-policy': 'same-origin',
	'permissions-policy': 'camera=(), geolocation=(), microphone=()'
};
