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
	return new Response(body, { status, headers: headers.map(([name, value]) => [name, value]) });
}
