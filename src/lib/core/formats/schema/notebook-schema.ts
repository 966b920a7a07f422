import { mostSquares, type Notebook } from '../../paper';
import { flag, list, measure, missing, oneOf, record, whole, words } from './rules';

/** Highest page number; thicker books are not bound. */
export const lastPage = 2000;
const mostColumns = 200;
const mostRows = 300;
const page = () => whole(1, lastPage);

const range = record({
	first: page().required(missing),
	last: page().required(missing)
})
	.required(missing)
	.test('order', function (value) {
		// This runs also where one of them is no number, or nothing that could be compared.
		if (typeof value?.first !== 'number' || typeof value.last !== 'number') return true;
		if (value.first <= value.last) return true;
		return this.createError({
			path: `${this.path}.last`,
			message: `must not come before the first page, ${value.first}; it is ${value.last}`
		});
	});

const point = () => record({ x: measure(-50, 500), y: measure(-50, 500) });

const margins = record({ left: point().optional(), right: point().optional() });

const exception = record({
	number: page().required(missing),
	columns: whole(1, mostColumns),
	rows: whole(1, mostRows),
	state: oneOf(['drawn', 'reserved', 'spoilt'])
}).required(missing);

const fields = record({
	name: words(200).default('Notebook'),
	pageMm: record({
		width: measure(20, 1000).required(missing),
		height: measure(20, 1000).required(missing)
	}).required(missing),
	pitchMm: measure(1, 50).required(missing),
	columns: whole(1, mostColumns).required(missing),
	rows: whole(1, mostRows).required(missing),
	gutter: whole(0, 20).default(2),
	// None are left in a book that is full.
	freePages: list(range, 0, 200, { single: true }).required(missing),
	marginsMm: margins.optional(),
	farMarginsMm: margins.optional(),
	totalPages: whole(1, lastPage),
	index: record({
		lines: whole(0, 1000).required(missing),
		used: whole(0, 1000).required(missing)
	}),
	paper: record({
		weight: measure(20, 600, 'g/m²'),
		bearsPaint: flag(),
		bearsAlcoholInk: flag()
	}),
	pages: list(exception, 0, 2000)
});

/** A notebook whose grid lies on its paper. Free pages may be one range or a list of ranges. */
export const notebookSchema = fields.required(missing).test('grid-on-page', function (value) {
	// Fields are compared only when each of them is right; Yup runs this test in any case.
	const fault = value && fields.isValidSync(value) && gridFault(value);
	if (!fault) return true;
	const path = this.path ? `${this.path}.${fault.field}` : fault.field;
	return this.createError({ path, message: fault.message });
});

/** Which count does not lie on the paper, and what would. */
export function gridFault(
	notebook: Notebook
): { field: 'columns' | 'rows'; message: string } | undefined {
	const { pageMm, pitchMm, columns, rows } = notebook;
	for (const side of ['left', 'right'] as const) {
		const measured = notebook.marginsMm?.[side];
		const after = (mm: number | undefined) =>
			mm === undefined ? '' : ` after ${mm} mm on the ${side} page`;
		const where = after(measured?.x);
		const acrossMost = mostSquares(pageMm.width, pitchMm, Math.max(0, measured?.x ?? 0));
		if (columns > acrossMost)
			return {
				field: 'columns',
				message: `${columns} squares of ${pitchMm} mm need ${round(columns * pitchMm)} mm${where} and the page is ${pageMm.width} mm wide: at most ${acrossMost} fit`
			};
		const top = after(measured?.y);
		const downMost = mostSquares(pageMm.height, pitchMm, Math.max(0, measured?.y ?? 0));
		if (rows > downMost)
			return {
				field: 'rows',
				message: `${rows} squares of ${pitchMm} mm need ${round(rows * pitchMm)} mm${top} and the page is ${pageMm.height} mm high: at most ${downMost} fit`
			};
	}
	return undefined;
}

function round(mm: number): number {
	return Math.round(mm * 100) / 100;
}
