import type { SightMessage, SightRequest } from '$lib/worker/sight.worker';

/** What a look at a picture ends with. */
export type Looked = Exclude<SightMessage, { kind: 'progress' }>;

/** A look at a picture that goes on in a worker. */
export interface Look {
	readonly result: Promise<Looked>;
	readonly stop: () => void;
}

/** Looks at a picture in a worker of its own; `progress` hears how much of it is done. A look that is stopped never ends. */
export function lookAt(request: SightRequest, progress: (share: number) => void): Look {
	const worker = new Worker(new URL('../worker/sight.worker.ts', import.meta.url), {
		type: 'module'
	});
	const result = new Promise<Looked>((resolve) => {
		worker.onmessage = ({ data }: MessageEvent<SightMessage>) => {
			if (data.kind === 'progress') return progress(data.share);
			worker.terminate();
			resolve(data);
		};
		worker.onerror = () => {
			worker.terminate();
			resolve({
				kind: 'refused',
				says: 'Looking stopped. Try again, or with a smaller picture.'
			});
		};
		worker.postMessage(request);
	});
	return { result, stop: () => worker.terminate() };
}
