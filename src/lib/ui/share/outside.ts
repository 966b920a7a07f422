import { send, textOf, troubleOf } from '../send';

/** What an address of a device or service answered. */
export type Outside =
	| { readonly kind: 'text'; readonly text: string; readonly tag: string | undefined }
	| { readonly kind: 'same' }
	| { readonly kind: 'trouble'; readonly says: string };

/** Asks an address by way of the server, which asks none but those on this machine and its network. */
export async function askOutside(
	what: 'band' | 'calendar' | 'printer',
	address: string,
	path?: string,
	tag?: string
): Promise<Outside> {
	const answer = await send('POST', '/app/outside', {
		what,
		address,
		...(path ? { path } : {}),
		...(tag ? { tag } : {})
	});
	if (answer.kind !== 'ok') return { kind: 'trouble', says: troubleOf(answer) };
	if (textOf(answer.body, 'kind') === 'same') return { kind: 'same' };
	const text = textOf(answer.body, 'text') ?? '';
	return { kind: 'text', text, tag: textOf(answer.body, 'tag') };
}
