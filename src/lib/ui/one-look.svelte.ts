import type { SightRequest } from '$lib/worker/sight.worker';
import { lookAt, type Look, type Looked } from './sight';

/** One picture at a time that is looked at: how far that is, what was seen in which picture, or why nothing was. */
export class OneLook {
	share = $state<number>();
	refused = $state<string>();
	seen = $state.raw<{ looked: Exclude<Looked, { kind: 'refused' }>; address: string }>();
	private look: Look | undefined;

	/** Looks at a picture in place of the one before; says what was seen, unless nothing was or it is stopped. */
	async begin(request: SightRequest): Promise<Exclude<Looked, { kind: 'refused' }> | undefined> {
		this.close();
		this.refused = undefined;
		this.share = 0;
		const look = lookAt(request, (done) => (this.share = done));
		this.look = look;
		const looked = await look.result;
		if (this.look !== look) return undefined;
		this.stop();
		if (looked.kind === 'refused') {
			this.refused = looked.says;
			return undefined;
		}
		this.seen = { looked, address: URL.createObjectURL(request.picture) };
		return looked;
	}

	/** Ends the looking. */
	stop(): void {
		this.look?.stop();
		this.look = undefined;
		this.share = undefined;
	}

	/** Ends the looking and lets go of the picture. */
	close(): void {
		this.stop();
		if (this.seen) URL.revokeObjectURL(this.seen.address);
		this.seen = undefined;
	}
}
