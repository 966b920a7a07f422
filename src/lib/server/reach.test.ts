import { createServer, type RequestListener, type Server } from 'node:http';
import { afterEach, expect, test } from 'vitest';
import { addressOf, isNear, reach } from './reach';

let server: Server | undefined;
afterEach(() => server?.close());

/** A small server of this machine; gives its address. */
async function listening(answer: RequestListener): Promise<string> {
	const made = createServer(answer);
	server = made;
	await new Promise<void>((resolve) => made.listen(0, '127.0.0.1', resolve));
	const where = made.address();
	if (typeof where !== 'object' || !where) throw new Error('no port');
	return `http://127.0.0.1:${where.port}`;
}

test('this machine and its network are near, all others are not (RFC 1918, 4193)', () => {
	for (const near of [
		'127.0.0.1',
		'10.1.2.3',
		'172.31.0.1',
		'192.168.178.20',
		'::1',
		'fd00::1',
		'::ffff:10.0.0.1'
	])
		expect(isNear(near), near).toBe(true);
	for (const far of [
		'8.8.8.8',
		'172.32.0.1',
		'192.169.0.1',
		'2001:db8::1',
		'::ffff:8.8.8.8',
		'no number'
	])
		expect(isNear(far), far).toBe(false);
	expect(addressOf('file:///etc/passwd')).toContain('http');
	expect(addressOf('webcal://10.0.0.1/a.ics')).toMatchObject({ href: 'http://10.0.0.1/a.ics' });
	expect(addressOf('nowhere')).toContain('no address');
});

test('what is far is not asked, by number or by name', async () => {
	expect(await reach('http://8.8.8.8/')).toMatchObject({
		kind: 'trouble',
		says: expect.stringMatching(/not on this machine/)
	});
	expect(await reach('http://[2001:db8::1]/')).toMatchObject({
		says: expect.stringMatching(/not on this machine/)
	});
	expect(await reach('http://127.0.0.1:1/')).toMatchObject({
		says: expect.stringMatching(/cannot be reached/)
	});
});

test('what has not changed is not sent again; redirects stay on the host; too much is cut off', async () => {
	const address = await listening((request, response) => {
		if (request.url === '/same') {
			const same = request.headers['if-none-match'] === '"a"';
			response.writeHead(same ? 304 : 200, { etag: '"a"' });
			response.end(same ? undefined : 'hello');
		} else if (request.url === '/on') {
			response.writeHead(302, { location: '/same' });
			response.end();
		} else if (request.url === '/away') {
			response.writeHead(302, { location: 'http://localhost:9/' });
			response.end();
		} else if (request.url === '/round') {
			response.writeHead(302, { location: '/round' });
			response.end();
		} else if (request.url === '/huge') response.end(Buffer.alloc(11_000_000));
		else {
			response.writeHead(503);
			response.end();
		}
	});
	expect(await reach(`${address}/same`)).toEqual({ kind: 'text', text: 'hello', tag: '"a"' });
	expect(await reach(`${address}/same`, '"a"')).toEqual({ kind: 'same' });
	expect(await reach(`${address}/on`)).toMatchObject({ kind: 'text', text: 'hello' });
	expect(await reach(`${address}/away`)).toMatchObject({
		says: expect.stringMatching(/another machine/)
	});
	expect(await reach(`${address}/round`)).toMatchObject({
		says: expect.stringMatching(/on and on/)
	});
	expect(await reach(`${address}/huge`)).toMatchObject({
		says: expect.stringMatching(/more than 10 MB/)
	});
	expect(await reach(`${address}/other`)).toMatchObject({
		says: expect.stringMatching(/answers with 503/)
	});
});
