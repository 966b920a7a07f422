import { measure, missing, oneOf, record, words } from '../schema/rules';
import { readJson } from '../document/plan-document';

/** How a label printer may be. */
export const printerStates = ['ready', 'out of tape', 'jammed'] as const;

const statusSchema = record({
	device: words(100),
	state: oneOf(printerStates).required(missing),
	/** Width of the tape. */
	tapeMm: measure(1, 200).required(missing),
	/** Length of it that is left. */
	leftMm: measure(0, 1_000_000).required(missing)
}).required(missing);

/** What a label printer tells of itself. */
export interface LabelPrinter {
	readonly state: (typeof printerStates)[number];
	readonly tapeMm: number;
	readonly leftMm: number;
}

/** Reads what a label printer answers (JSON), or undefined where that is no such answer. */
export function readLabelPrinter(text: string): LabelPrinter | undefined {
	const read = readJson(statusSchema, text);
	return read.ok ? read.value : undefined;
}
