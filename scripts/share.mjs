import { createServer } from 'node:http';
import { networkInterfaces } from 'node:os';

const pairPath = '/pair';
/**
 * So long is a connection kept that nobody uses: who asks again just as it is closed is not answered, and browsers keep
 * theirs for a minute and more.
 */
export const idleConnectionMs = 120_000;

/**
 * This machine's own addresses on its network, or those of HORARIUM_SHARE_ON.
 * @returns {string[]}
 */
export function networkAddresses() {
	const given = process.env.HORARIUM_SHARE_ON;
	if (given) return given.split(',');
	return Object.values(networkInterfaces())
		.flatMap((all) => all ?? [])
		.filter(({ family, internal }) => family === 'IPv4' && !internal)
		.map(({ address }) => address);
}

/**
 * Answers on an address of the network too. Nothing but the page on which a device is paired answers one that is not:
 * each request is asked about on this machine's own address first, files of the interface too.
 * @param {string} address
 * @param {number} port
 * @param {import('node:http').RequestListener} answer
 * @returns {Promise<import('node:http').Server>}
 */
export function share(address, port, answer) {
	const server = createServer({ keepAliveTimeout: idleConnectionMs }, (request, response) => {
		if (request.headers.host !== `${address}:${port}`) return refuse(response, 421);
		const path = request.url?.split('?')[0];
		if (path === pairPath) return answer(request, response);
		paired(port, request.headers.cookie).then(
			(known) => {
				if (known) answer(request, response);
				else if (request.method === 'GET' && request.headers.accept?.includes('text/html'))
					response.writeHead(303, { location: pairPath }).end();
				else refuse(response, 401);
			},
			() => refuse(response, 503)
		);
	});
	return new Promise((resolve, reject) => {
		server.once('error', reject);
		server.listen(port, address, () => resolve(server));
	});
}

/**
 * @param {number} port
 * @param {string | undefined} cookie
 */
async function paired(port, cookie) {
	if (!cookie?.includes('horarium_device=')) return false;
	const known = await fetch(`http://127.0.0.1:${port}/app/devices/known`, { headers: { cookie } });
	return known.status === 204;
}

/**
 * @param {import('node:http').ServerResponse} response
 * @param {number} status
 */
function refuse(response, status) {
	response.writeHead(status, { 'content-type': 'text/plain' }).end('This device is not paired.');
}
