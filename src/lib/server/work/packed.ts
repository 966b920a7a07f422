/** An answer as plain data, to be handed from one thread to another. */
export interface Packed {
	readonly status: number;
	readonly headers: readonly (readonly [string, string])[];
	readonly body: ArrayBuffer;
}

export async function pack(response: Response): Promise<Packed> {
	return {
		status: response.status,
		headers: [...response.headers],
		body: await response.arrayBuffer()
	};
}

export function unpack({ status, headers, body }: Packed): Response {
	const all = new Headers();
	for (const [name, value] of headers) all.append(name, value);
	return new Response(body, { status, headers: all });
}
