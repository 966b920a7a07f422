import { lookup, type LookupAddress } from 'node:dns';
import { request as httpRequest, type IncomingMessage } from 'node:http';
import { request as httpsRequest } from 'node:https';
import { BlockList, isIP } from 'node:net';

/** What an address on this machine or network answered. */
export type Reached =
	| { readonly kind: 'text'; readonly text: string; readonly tag?: string }
	/** It is as it was when the tag was given. */
	| { readonly kind: 'same' }
	/** With what it answered, where it refused. */
	| { readonly kind: 'trouble'; readonly says: string; readonly text?: string };

const mostBytes = 10_000_000;
const patienceMs = 8000;
const mostHops = 3;

/** What is handed to an address, and of which media type. */
export interface Sent {
	readonly type: string;
	readonly body: Uint8Array;
}

/** Networks of a home, and this machine itself (RFC 1918, 4193, 6762, 3927). */
const near = new BlockList();
near.addSubnet('127.0.0.0', 8);
near.addSubnet('10.0.0.0', 8);
near.addSubnet('172.16.0.0', 12);
near.addSubnet('192.168.0.0', 16);
near.addSubnet('169.254.0.0', 16);
near.addAddress('::1', 'ipv6');
near.addSubnet('fc00::', 7, 'ipv6');
near.addSubnet('fe80::', 10, 'ipv6');

/** Whether a number stands for this machine or its own network. */
export function isNear(address: string): boolean {
	const mapped = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address)?.[1];
	if (mapped) return near.check(mapped);
	return isIP(address) === 6
		? near.check(address, 'ipv6')
		: isIP(address) === 4 && near.check(address);
}

/** An address that a person entered, or what is wrong with it. */
export function addressOf(text: string): URL | string {
	let url: URL;
	try {
		url = new URL(text.trim().replace(/^webcal:/i, 'http:'));
	} catch {
		return 'This is no address: it begins with http:// and names a machine.';
	}
	if (url.protocol !== 'http:' && url.protocol !== 'https:')
		return `An address begins with http:// or https://, and not with ${url.protocol}.`;
	return url;
}

/**
 * Asks an address on this machine or network, and no other: the machine's number is looked at as the connection is made, so
 * that a name cannot stand for another one meanwhile. Redirects are followed on the same host only; it is limited in size and time.
 * With `sent` something is handed over.
 */
export async function reach(text: string, tag?: string, sent?: Sent): Promise<Reached> {
	let url = addressOf(text);
	if (typeof url === 'string') return trouble(url);
	for (let hop = 0; hop <= mostHops; hop++) {
		const answer = await ask(url, tag, sent);
		if (answer.kind !== 'moved') return answer;
		const next = addressOf(new URL(answer.to, url).href);
		if (typeof next === 'string') return trouble(next);
		if (next.host !== url.host)
			return trouble(
				`${url.host} sends on to ${next.host}, another machine: that is not followed.`
			);
		url = next;
	}
	return trouble('The address sends on and on to other ones.');
}

const trouble = (says: string): Reached => ({ kind: 'trouble', says });

function ask(
	url: URL,
	tag: string | undefined,
	sent: Sent | undefined
): Promise<Reached | { kind: 'moved'; to: string }> {
	return new Promise((resolve) => {
		const send = url.protocol === 'https:' ? httpsRequest : httpRequest;
		const request = send(url, {
			method: sent ? 'POST' : 'GET',
			headers: {
				accept: '*/*',
				...(tag ? { 'if-none-match': tag } : {}),
				...(sent ? { 'content-type': sent.type, 'content-length': sent.body.length } : {})
			},
			lookup: nearOnly,
			signal: AbortSignal.timeout(patienceMs)
		});
		const host = url.hostname.replace(/^\[|\]$/g, '');
		if (isIP(host) && !isNear(host)) {
			request.destroy();
			return resolve(trouble(farWords(host)));
		}
		request.on('error', (error: NodeJS.ErrnoException) => resolve(trouble(wordsFor(error, url))));
		request.on('response', (response) => {
			const { statusCode = 0, headers } = response;
			if (statusCode === 304) return done(response, resolve, { kind: 'same' });
			if (statusCode >= 300 && statusCode < 400 && headers.location)
				return done(response, resolve, { kind: 'moved', to: headers.location });
			const chunks: Buffer[] = [];
			let bytes = 0;
			response.on('data', (chunk: Buffer) => {
				bytes += chunk.byteLength;
				chunks.push(chunk);
				if (bytes > mostBytes) {
					request.destroy();
					resolve(trouble(`${url.host} sends more than ${mostBytes / 1e6} MB: nothing was taken.`));
				}
			});
			response.on('end', () => {
				const text = Buffer.concat(chunks).toString('utf8');
				const says = `${url.host} answers with ${statusCode}.`;
				if (statusCode !== 200) return resolve({ kind: 'trouble', says, text });
				resolve({ kind: 'text', text, ...(headers.etag ? { tag: headers.etag } : {}) });
			});
		});
		request.end(sent?.body);
	});
}

function done<T>(response: IncomingMessage, resolve: (value: T) => void, value: T): void {
	response.resume();
	resolve(value);
}

/** Looks a name up, and refuses what is not near. */
function nearOnly(
	hostname: string,
	options: object,
	callback: (error: Error | null, address: string | LookupAddress[], family?: number) => void
): void {
	lookup(hostname, { ...options, all: true }, (error, addresses) => {
		if (error) return callback(error, '');
		const far = addresses.find(({ address }) => !isNear(address));
		if (far) return callback(Object.assign(new Error(farWords(hostname)), { code: 'FAR' }), '');
		const [first] = addresses;
		if ('all' in options && options.all) return callback(null, addresses);
		callback(null, first?.address ?? '', first?.family);
	});
}

const farWords = (host: string) =>
	`${host} is not on this machine or its network: Horarium asks nobody else. Save the file, and bring that in.`;

function wordsFor(error: NodeJS.ErrnoException, url: URL): string {
	if (error.code === 'FAR') return error.message;
	if (error.name === 'AbortError' || error.name === 'TimeoutError' || error.code === 'ABORT_ERR')
		return `${url.host} does not answer within ${patienceMs / 1000} seconds.`;
	return `${url.host} cannot be reached.`;
}
