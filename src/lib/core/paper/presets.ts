import type { Notebook } from './notebook';

/** A usual notebook, without the part that is each person's own: which of its pages are free. */
export interface NotebookPreset {
	readonly id: string;
	/** Where the paper size comes from. */
	readonly origin: string;
	readonly paper: Omit<Notebook, 'freePages'>;
}

/**
 * Paper sizes people start from. Square counts are common practice for dot-grid notebooks with a
 * 5 mm pitch.
 */
export const presets: readonly NotebookPreset[] = [
	{
		id: 'a5',
		origin: 'A5 of ISO 216',
		paper: {
			name: 'A5 notebook',
			pageMm: { width: 148, height: 210 },
			pitchMm: 5,
			columns: 28,
			rows: 40,
			gutter: 2
		}
	},
	{
		id: 'b6',
		origin: 'B6 of JIS P 0138',
		paper: {
			name: 'Small notebook',
			pageMm: { width: 128, height: 182 },
			pitchMm: 5,
			columns: 24,
			rows: 34,
			gutter: 2
		}
	}
];
