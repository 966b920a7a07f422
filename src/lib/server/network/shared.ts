import type { IncomingMessage } from 'node:http';

/** Cookie that a paired device proves itself with. */
export const deviceCookie = 'horarium_device';

/** Addresses on the network that are served besides this machine's own, such as 192.168.1.5:4317; none by default. */
export function sharedAddresses(): readonly string[] {
	return (process.env.HORARIUM_SHARED ?? '').split(',').filter(Boolean);
}

/** The address on the network that a request came in by, told by its socket and not by what it says of itself. */
export function sharedBy(request: IncomingMessage | undefined): string | undefined {
	const { localAddress, localPort } = request?.socket ?? {};
	return sharedAddresses().find((address) => address === `${localAddress}:${localPort}`);
}
