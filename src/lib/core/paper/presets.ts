import type { Notebook } from './notebook';

/** A usual notebook, without the part that is each person's own: which of its pages are free. */
export interface NotebookPreset {
	readonly id: string;
	/** Where the paper size comes from. */
	readonly origin: string;
	readonly paper: Omit<Notebook, 'freePages'>;
}

/** A notebook's usual paper: 5 mm dots, a gutter of 2 squares. */
const usual = { pitchMm: 5, gutter: 2 } as const;

function preset(
	id: string,
	name: string,
	origin: string,
	[width, height]: readonly [number, number],
	[columns, rows]: readonly [number, number]
): NotebookPreset {
	return { id, origin, paper: { name, pageMm: { width, height }, columns, rows, ...usual } };
}

/**
 * Paper sizes people start from, the most usual first. Square counts are common practice for dot-grid notebooks with a
 * 5 mm pitch: the page less one to three squares each way, which the margins take.
 */
export const presets: readonly NotebookPreset[] = [
	preset('a5', 'A5 notebook', 'A5 of ISO 216', [148, 210], [28, 40]),
	preset('b6', 'Small notebook', 'B6 of JIS P 0138', [128, 182], [24, 34]),
	preset('a4', 'A4 notebook', 'A4 of ISO 216', [210, 297], [40, 57]),
	preset('a6', 'A6 notebook', 'A6 of ISO 216', [105, 148], [19, 28]),
	preset('b5', 'B5 notebook', 'B5 of JIS P 0138', [182, 257], [34, 49]),
	preset('pocket', 'Pocket notebook', 'common practice', [90, 140], [17, 26]),
	preset('a5-landscape', 'A5 landscape', 'A5 of ISO 216, lying', [210, 148], [40, 28]),
	preset('a6-landscape', 'A6 landscape', 'A6 of ISO 216, lying', [148, 105], [28, 19])
];
