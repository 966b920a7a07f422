import { cutFault, cutKinds, tabShapes, type Cut } from '../../cuts';
import { outlineShapes, type Notebook } from '../../paper';
import { flag, list, measure, missing, oneOf, record, whole, words } from './rules';

const rect = record({
	x: whole(0, 300).required(missing),
	y: whole(0, 300).required(missing),
	w: whole(1, 300).required(missing),
	h: whole(1, 300).required(missing)
});

const point = record({
	x: measure(-20, 320).required(missing),
	y: measure(-20, 320).required(missing)
}).required(missing);

const cut = record({
	id: words(100).min(1, missing).required(missing),
	kind: oneOf(cutKinds).required(missing),
	leaves: record({
		first: whole(1, 2000).required(missing),
		last: whole(1, 2000).required(missing)
	}).required(missing),
	side: oneOf(['outer']),
	amount: whole(1, 300),
	rect: rect.optional(),
	shape: oneOf(outlineShapes),
	tabShape: oneOf(tabShapes),
	depth: whole(1, 300),
	from: whole(0, 300),
	step: whole(1, 100),
	size: record({ w: whole(1, 100).required(missing), h: whole(1, 100).required(missing) }),
	points: list(point, 3, 200),
	lastUncut: flag(),
	leaveLine: flag(),
	for: record({
		wish: words(100).min(1, missing).required(missing),
		page: whole(1, 2000).required(missing)
	}).optional(),
	made: flag()
}).required(missing);

/** Cuts through leaves of a book: at most 100. */
export const cutsSchema = list(cut, 0, 100);

/** The first of a document's cuts that its notebook does not allow, and why. */
export function cutsFault(
	notebook: Notebook,
	cuts: readonly Cut[]
): { readonly path: string; readonly message: string } | undefined {
	for (const [index, cut] of cuts.entries()) {
		const fault = cutFault(notebook, cut);
		if (fault) return { path: `cuts[${index}].${fault.field}`, message: fault.message };
	}
	return undefined;
}
