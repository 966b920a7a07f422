import { expect, test } from 'vitest';
import { refuse } from './guard';

function statusOf(
	method: string,
	headers: Record<string, string>,
	shared?: string
): number | undefined {
	return refuse(new Request('http://127.0.0.1:4317/x', { method, headers }), shared)?.status;
}

const host = '127.0.0.1:4317';

test.each([
	['reading on this machine', 'GET', { host }, undefined],
	['reading under another name of this machine', 'GET', { host: 'localhost:4317' }, undefined],
	['reading over IPv6', 'GET', { host: '[::1]:4317' }, undefined],
	['a name made to point here', 'GET', { host: 'horarium.example' }, 421],
	['a name that only begins like this machine', 'GET', { host: '127.0.0.1.example' }, 421],
	['no host', 'GET', {}, 421],
	['a program that writes', 'POST', { host }, undefined],
	['this page that writes', 'POST', { host, origin: `http://${host}` }, undefined],
	['a page elsewhere that writes', 'POST', { host, origin: 'http://elsewhere.example' }, 403],
	['another port that writes', 'PUT', { host, origin: 'http://127.0.0.1:1' }, 403],
	['a sandboxed page that writes', 'PATCH', { host, origin: 'null' }, 403],
	['a page elsewhere by its fetch site', 'POST', { host, 'sec-fetch-site': 'cross-site' }, 403]
] as const)('%s', (_, method, headers, status) => {
	expect(statusOf(method, headers)).toBe(status);
});

const own = '192.168.1.5:4317';

test.each([
	['a tablet that reads', 'GET', { host: own }, undefined],
	['a tablet that writes', 'PUT', { host: own, origin: `http://${own}` }, undefined],
	['one that pretends to be the machine itself', 'GET', { host }, 421],
	['a name made to point here', 'GET', { host: 'horarium.example:4317' }, 421],
	['a page of the machine itself', 'PUT', { host: own, origin: `http://${host}` }, 403],
	['a page elsewhere', 'POST', { host: own, origin: 'http://elsewhere.example' }, 403]
] as const)('by the network: %s', (_, method, headers, status) => {
	expect(statusOf(method, headers, own)).toBe(status);
});
