import { readLabelPrinter } from '$lib/core/formats/outside/label-printer';
import { reach } from './reach';

/** Whether a label came out of the printer, and how much tape it has left. */
export type Printed =
	{ readonly ok: true; readonly leftMm: number } | { readonly ok: false; readonly says: string };

const troubles = {
	'out of tape': 'The printer has no tape left. Put a new one in, and go on.',
	jammed: 'The tape is stuck in the printer. Open it, straighten the tape, and go on.'
};

/** Hands a label (PBM) to a printer on this machine or network, and waits until it is printed. */
export async function printLabel(
	address: string,
	label: Uint8Array,
	loopback: boolean
): Promise<Printed> {
	const answer = await reach(`${address}/labels`, {
		sent: { type: 'image/x-portable-bitmap', body: label },
		loopback
	});
	const told = 'text' in answer && answer.text ? readLabelPrinter(answer.text) : undefined;
	if (answer.kind === 'trouble') {
		const trouble = told && told.state !== 'ready' ? troubles[told.state] : answer.says;
		return { ok: false, says: trouble };
	}
	return told
		? { ok: true, leftMm: told.leftMm }
		: { ok: false, says: 'What is at this address is no label printer.' };
}
