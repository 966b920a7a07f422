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
	expect(await reach(`${address}/same`, { tag: '"a"' })).toEqual({ kind: 'same' });
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

test('an address that breaks off, changes the protocol or redirects to nonsense is answered in words', async () => {
	const address = await listening((request, response) => {
		if (request.url === '/half') {
			response.writeHead(200, { 'content-length': '1000' });
			response.write('half');
			setTimeout(() => request.socket.destroy(), 20);
		} else if (request.url === '/nothing') request.socket.destroy();
		else if (request.url === '/nonsense') {
			response.writeHead(302, { location: 'http://[' });
			response.end();
		} else if (request.url === '/odd') {
			response.writeHead(302, { location: 'mailto:somebody' });
			response.end();
		} else
			request.socket.end('HTTP/1.1 101 Switching\r\nupgrade: x\r\nconnection: upgrade\r\n\r\n');
	});
	const says = async (path: string) => {
		const reached = await reach(address + path);
		return reached.kind === 'trouble' ? reached.says : reached.kind;
	};
	expect(await says('/half')).toMatch(/broke off in the middle/);
	expect(await says('/nothing')).toMatch(/cannot be reached|broke off/);
	expect(await says('/nonsense')).toMatch(/sends on to “http:\/\/\[”, which is no address/);
	expect(await says('/odd')).toMatch(/begins with http/);
	expect(await says('/upgrade')).toMatch(/another protocol/);
});

test('what is typed on a tablet does not reach this machine, by number or by name', async () => {
	const address = await listening((_, response) => response.end('secret'));
	const { port } = new URL(address);
	for (const host of ['127.0.0.1', 'localhost', '[::ffff:127.0.0.1]', '2130706433', '127.1'])
		expect(await reach(`http://${host}:${port}/`, { loopback: false }), host).toMatchObject({
			kind: 'trouble',
			says: expect.stringMatching(/the machine that Horarium runs on/)
		});
	expect(await reach(address)).toMatchObject({ kind: 'text', text: 'secret' });
});
