import type { IncomingMessage } from 'node:http';
import type { Socket } from 'node:net';

const signals = new WeakMap<Socket, AbortSignal>();

/** Aborts when the one who sent a request has gone away; never where the request is not known. */
export function goneSignal(request: IncomingMessage | undefined): AbortSignal {
	if (!request) return new AbortController().signal;
	const { socket } = request;
	let signal = signals.get(socket);
	if (!signal) {
		const controller = new AbortController();
		socket.once('close', () => controller.abort());
		({ signal } = controller);
		signals.set(socket, signal);
	}
	return signal;
}
