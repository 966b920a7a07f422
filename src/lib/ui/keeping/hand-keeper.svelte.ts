import type { Hand } from '$lib/core/hand';
import { send, troubleOf } from '../send';
import { Saver, type Sent } from './saver.svelte';

/** The person's hand and language while they are being changed. They have no revisions: the last write holds. */
export class HandKeeper {
	readonly hand = new Saver<Hand>(0, (_, hand) => put('/app/hand', hand), done);
	readonly language: Saver<string>;

	/** `spoken` is called when the pages are written in another language. */
	constructor(spoken: () => void) {
		this.language = new Saver<string>(
			0,
			(_, language) => put('/app/language', { language }),
			spoken
		);
	}
}

const done = () => undefined;

async function put<T>(path: string, content: unknown): Promise<Sent<T>> {
	const answer = await send('PUT', path, content);
	if (answer.kind === 'ok') return { kind: 'written', revision: 0 };
	if (answer.kind === 'conflict') return { kind: 'refused', message: troubleOf(answer) };
	return answer;
}
