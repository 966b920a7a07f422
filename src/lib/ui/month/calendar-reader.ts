import type { CalendarRead } from '$lib/core/formats/outside/icalendar';
import type { YearMonth } from '$lib/core/month';
import type { CalendarMessage, CalendarRequest } from '$lib/worker/calendar.worker';

/** The part of a worker that reading needs. */
export interface Reader {
	onmessage: ((event: MessageEvent<CalendarMessage>) => void) | null;
	onerror: ((event: ErrorEvent) => void) | null;
	postMessage(request: CalendarRequest): void;
	terminate(): void;
}

/** An event that is not done by then has no end that is worth waiting for. */
const patienceMs = 700;
/** Reading the text itself takes longer the longer it is. */
const textPatienceMs = (letters: number) => 2000 + letters / 2000;
const mostSkipped = 3;

const startWorker = (): Reader =>
	new Worker(new URL('../../worker/calendar.worker.ts', import.meta.url), { type: 'module' });

/**
 * Reads a calendar file in a worker of its own. Of an event that never ends the worker dies: the file is read
 * again without it. `signal` breaks it off.
 */
export function readCalendarFile(
	text: string,
	month: YearMonth,
	signal: AbortSignal,
	start: () => Reader = startWorker
): Promise<CalendarRead> {
	const { timeZone } = new Intl.DateTimeFormat().resolvedOptions();
	const refused = (message: string): CalendarRead => ({ ok: false, message });
	return new Promise((resolve) => {
		const read = (skip: ReadonlySet<number>) => {
			const worker = start();
			let begun: number | undefined;
			let timer: ReturnType<typeof setTimeout>;
			const end = (answer?: CalendarRead) => {
				clearTimeout(timer);
				worker.terminate();
				signal.removeEventListener('abort', stop);
				if (answer) resolve(answer);
			};
			const stop = () => end(refused('Reading was stopped: nothing was taken from the file.'));
			const wait = (ms: number) => {
				clearTimeout(timer);
				timer = setTimeout(() => {
					if (begun === undefined || skip.size === mostSkipped)
						return end(refused('This file takes too long to read: nothing was taken from it.'));
					end();
					read(new Set([...skip, begun]));
				}, ms);
			};
			signal.addEventListener('abort', stop);
			worker.onerror = () => end(refused('This file cannot be read: nothing was taken from it.'));
			worker.onmessage = ({ data }) => {
				if (data.kind === 'read') return end(data.read);
				begun = data.event;
				wait(patienceMs);
			};
			wait(textPatienceMs(text.length));
			worker.postMessage({ text, month, timeZone, skip });
		};
		if (signal.aborted) resolve(refused('Reading was stopped: nothing was taken from the file.'));
		else read(new Set());
	});
}
