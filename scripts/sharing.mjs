import { networkAddresses, share } from './share.mjs';

/**
 * Sharing on the network, which the application switches on and off while it runs.
 * @typedef {{ start: () => Promise<void>, stop: () => Promise<void> }} Sharing
 */

/**
 * Sharing on a port, by an answerer; the application finds it as `process.horarium`, and the addresses that are shared in
 * HORARIUM_SHARED.
 * @param {number} port
 * @param {import('node:http').RequestListener} answer
 * @returns {Sharing}
 */
export function sharing(port, answer) {
	/** @type {readonly import('node:http').Server[]} */
	let open = [];
	const own = {
		async start() {
			if (open.length > 0) return;
			const addresses = networkAddresses();
			if (addresses.length === 0)
				throw new Error('This machine has no address on a network to share on.');
			const tried = await Promise.allSettled(
				addresses.map((address) => share(address, port, answer))
			);
			open = tried.flatMap((one) => (one.status === 'fulfilled' ? [one.value] : []));
			const failed = tried.find((one) => one.status === 'rejected');
			if (failed) {
				await own.stop();
				throw new Error(`Horarium cannot be shared: ${failed.reason?.message ?? failed.reason}.`);
			}
			process.env.HORARIUM_SHARED = addresses.map((address) => `${address}:${port}`).join();
		},
		async stop() {
			delete process.env.HORARIUM_SHARED;
			const closing = open;
			open = [];
			for (const server of closing) {
				server.closeAllConnections();
				await new Promise((resolve) => server.close(resolve));
			}
		}
	};
	Object.assign(process, { horarium: own });
	return own;
}
