import { farMarginMm, marginMm, type Dot, type Notebook, type Side } from '$lib/core/paper';

/** Something to lay a ruler on. */
export interface Measure {
	/** Letter that names it in the picture. */
	readonly letter: string;
	readonly label: string;
	readonly page: Side;
	/** Ends in squares from that page's first dot. */
	readonly from: Dot;
	readonly to: Dot;
	/** Where the letter stands, clear of the edge that is measured from. */
	readonly tag: Dot;
	readonly value: number | undefined;
	readonly least: number;
	readonly most: number;
	/** Without a value it is forgotten; the pitch cannot be. */
	readonly set: (value: number | undefined) => Partial<Notebook>;
	readonly optional: boolean;
}

type Kept = 'marginsMm' | 'farMarginsMm';

/** One margin measured, or forgotten again; what was never measured stays open. */
function withMargin(
	notebook: Notebook,
	name: Kept,
	side: Side,
	axis: 'x' | 'y',
	value: number | undefined
): Partial<Notebook> {
	const before = notebook[name];
	return { [name]: { ...before, [side]: { ...before?.[side], [axis]: value } } };
}

/** All lengths to measure, in the order in which one lays the ruler; the last two are a check. */
export function measuresOf(notebook: Notebook): Measure[] {
	const { pageMm, pitchMm, columns } = notebook;
	const along = Math.min(20, columns);
	const margins = (['left', 'right'] as const).flatMap((page, index): Measure[] => {
		const margin = marginMm(notebook, page);
		return [
			{
				letter: 'BD'[index] ?? '',
				label: `${page} page: first dot from its left edge`,
				page,
				from: { x: -margin.x / pitchMm, y: 3 },
				to: { x: 0, y: 3 },
				tag: { x: 1.4, y: 3 },
				value: notebook.marginsMm?.[page]?.x,
				least: -10,
				most: pageMm.width,
				optional: true,
				set: (value) => withMargin(notebook, 'marginsMm', page, 'x', value)
			},
			{
				letter: 'CE'[index] ?? '',
				label: `${page} page: first dot from its top edge`,
				page,
				from: { x: 5, y: -margin.y / pitchMm },
				to: { x: 5, y: 0 },
				tag: { x: 5, y: 1.4 },
				value: notebook.marginsMm?.[page]?.y,
				least: -10,
				most: pageMm.height,
				optional: true,
				set: (value) => withMargin(notebook, 'marginsMm', page, 'y', value)
			}
		];
	});
	const checks = (['left', 'right'] as const).map((page, index): Measure => {
		const far = farMarginMm(notebook, page);
		return {
			letter: 'FG'[index] ?? '',
			label: `${page} page: last dot from its right edge (a check)`,
			page,
			from: { x: columns, y: 24 },
			to: { x: columns + far.x / pitchMm, y: 24 },
			tag: { x: columns - 1.4, y: 24 },
			value: notebook.farMarginsMm?.[page]?.x,
			least: -10,
			most: pageMm.width,
			optional: true,
			set: (value) => withMargin(notebook, 'farMarginsMm', page, 'x', value)
		};
	});
	const pitch: Measure = {
		letter: 'A',
		label: 'length of 20 squares',
		page: 'left',
		from: { x: 0, y: 12 },
		to: { x: along, y: 12 },
		tag: { x: along / 2, y: 13.5 },
		value: pitchMm * 20,
		least: 20,
		most: 1000,
		optional: false,
		set: (value) => (value === undefined ? {} : { pitchMm: value / 20 })
	};
	return [pitch, ...margins, ...checks];
}
