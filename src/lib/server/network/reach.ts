import { lookup, type LookupAddress } from 'node:dns';
import { request as httpRequest, type IncomingMessage } from 'node:http';
import { request as httpsRequest } from 'node:https';
import ipaddr from 'ipaddr.js';

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

/** Networks of a home, and this machine itself, as the package names them (RFC 1918, 4193, 3927, 4291). */
const homes = ['loopback', 'private', 'linkLocal', 'uniqueLocal'];

/** What kind of network a number is of; none where it is no number. */
function rangeOf(address: string): string | undefined {
	return ipaddr.isValid(address) ? ipaddr.process(address).range() : undefined;
}

/** Whether a number stands for this machine or its own network. */
export function isNear(address: string): boolean {
	return homes.includes(rangeOf(address) ?? '');
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

/** How an address is asked. */
export interface Asking {
	/** Tells what is known already. */
	readonly tag?: string | undefined;
	readonly sent?: Sent;
	/** Whether it may be on this very machine: whoever types on a tablet must not reach what only this machine may. */
	readonly loopback?: boolean;
}

/**
 * Asks an address on this machine or network, and no other: the machine's number is looked at as the connection is made, so
 * that a name cannot stand for another one meanwhile. Redirects are followed on the same host only; it is limited in size and,
 * all redirects together, in time.
 */
export async function reach(text: string, asking: Asking = {}): Promise<Reached> {
	const first = addressOf(text);
	if (typeof first === 'string') return trouble(first);
	let url: URL = first;
	const time = AbortSignal.timeout(patienceMs);
	for (let hop = 0; hop <= mostHops; hop++) {
		const answer = await ask(url, asking, time);
		if (answer.kind !== 'moved') return answer;
		const next: URL | string = URL.canParse(answer.to, url)
			? addressOf(new URL(answer.to, url).href)
			: `${url.host} sends on to “${answer.to.slice(0, 60)}”, which is no address.`;
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
	{ tag, sent, loopback = true }: Asking,
	time: AbortSignal
): Promise<Reached | { kind: 'moved'; to: string }> {
	return new Promise((resolve) => {
		const send = url.protocol === 'https:' ? httpsRequest : httpRequest;
		const host = url.hostname.replace(/^\[|\]$/g, '');
		const refusal = ipaddr.isValid(host) ? refusedNumber(host, host, loopback) : undefined;
		if (refusal) return resolve(trouble(refusal));
		const request = send(url, {
			method: sent ? 'POST' : 'GET',
			headers: {
				accept: '*/*',
				...(tag ? { 'if-none-match': tag } : {}),
				...(sent ? { 'content-type': sent.type, 'content-length': sent.body.length } : {})
			},
			lookup: nearOnly(loopback),
			signal: time
		});
		request.on('error', (error: NodeJS.ErrnoException) => resolve(trouble(wordsFor(error, url))));
		request.on('upgrade', (_, socket) => {
			socket.destroy();
			resolve(trouble(`${url.host} answers in another protocol.`));
		});
		// However it ends, something is said by then; what was said first holds.
		request.on('close', () =>
			setImmediate(() => resolve(trouble(`${url.host} broke off without an answer.`)))
		);
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
					resolve(trouble(`${url.host} sends more than ${mostBytes / 1e6} MB: nothing was taken.`));
					request.destroy();
				}
			});
			response.on('error', (error: NodeJS.ErrnoException) =>
				resolve(
					trouble(
						time.aborted
							? wordsFor(error, url, true)
							: `${url.host} broke off in the middle of its answer.`
					)
				)
			);
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
	response.on('error', () => undefined);
	response.resume();
	resolve(value);
}

/** What speaks against asking a number that a host is known by. */
function refusedNumber(address: string, host: string, loopback: boolean): string | undefined {
	if (!isNear(address)) return farWords(host);
	return !loopback && rangeOf(address) === 'loopback' ? ownWords(host) : undefined;
}

/** Looks a name up, and refuses what is not near. */
const nearOnly =
	(loopback: boolean) =>
	(
		hostname: string,
		options: object,
		callback: (error: Error | null, address: string | LookupAddress[], family?: number) => void
	): void => {
		lookup(hostname, { ...options, all: true }, (error, addresses) => {
			if (error) return callback(error, '');
			const refusal = addresses
				.map(({ address }) => refusedNumber(address, hostname, loopback))
				.find(Boolean);
			if (refusal) return callback(Object.assign(new Error(refusal), { code: 'FAR' }), '');
			const [first] = addresses;
			if ('all' in options && options.all) return callback(null, addresses);
			callback(null, first?.address ?? '', first?.family);
		});
	};

const ownWords = (host: string) =>
	`${host} is the machine that Horarium runs on. Enter this address there; from a tablet it cannot be asked.`;

const farWords = (host: string) =>
	`${host} is not on this machine or its network: Horarium asks nobody else. Save the file, and bring that in.`;

function wordsFor(error: NodeJS.ErrnoException, url: URL, late = false): string {
	if (error.code === 'FAR') return error.message;
	if (
		late ||
		error.name === 'AbortError' ||
		error.name === 'TimeoutError' ||
		error.code === 'ABORT_ERR'
	)
		return `${url.host} does not answer within ${patienceMs / 1000} seconds.`;
	return `${url.host} cannot be reached.`;
}
