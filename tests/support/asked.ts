/**
 * A request that is sent once more where the connection broke: one that lay idle may be closed just as it is taken up again, and
 * one whose body was refused is closed by whoever refused it.
 */
export const asked: typeof fetch = (...request) =>
	fetch(...request).catch((error: Error) => {
		const { cause } = error;
		if (cause instanceof Error && 'code' in cause && broken.has(cause.code))
			return fetch(...request);
		throw error;
	});

const broken: ReadonlySet<unknown> = new Set(['UND_ERR_SOCKET', 'ECONNRESET', 'EPIPE']);
