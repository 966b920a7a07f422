import { pageOf, squares, type Notebook } from '../paper';
import { frontsOf, stepOf, usual, type Cut } from './cut';

/** What is wrong with a cut, and in which of its fields. */
export interface CutFault {
	readonly field: string;
	readonly message: string;
}

/** Why a cut cannot be made in a notebook; undefined when it can. */
export function cutFault(notebook: Notebook, cut: Cut): CutFault | undefined {
	const { leaves, kind } = cut;
	if (leaves.first % 2 === 0 || leaves.last % 2 === 0)
		return {
			field: leaves.first % 2 === 0 ? 'leaves.first' : 'leaves.last',
			message: `must be the front of a leaf, an odd page; it is ${leaves.first % 2 === 0 ? leaves.first : leaves.last}`
		};
	if (leaves.last < leaves.first)
		return {
			field: 'leaves.last',
			message: `must not come before the first leaf, ${leaves.first}; it is ${leaves.last}`
		};
	const { columns, rows } = pageOf(notebook, leaves.first);
	const count = frontsOf(cut).length;
	const step = stepOf(cut);
	if (kind === 'strip') return less(cut.amount ?? usual.strip, columns, 'amount', 'across');
	if (kind === 'top' || kind === 'bottom')
		return less(cut.amount ?? Math.floor(rows / 3), rows, 'amount', 'down');
	if (kind === 'corner')
		return less(cut.amount ?? usual.corner, Math.min(columns, rows) / 2, 'amount', 'to the middle');
	if (kind === 'waterfall') {
		const narrowest = (count - 1) * step;
		if (narrowest < columns) return undefined;
		return {
			field: 'leaves.last',
			message: `${count} leaves, each ${squares(step)} narrower than the next, take ${narrowest} of ${columns}: at most ${Math.ceil(columns / step)} leaves`
		};
	}
	if (kind === 'tab') {
		const { w } = cut.size ?? usual.tab;
		const { from = 0 } = cut;
		const left = rows - from;
		const most = Math.floor(left / step);
		if (w >= columns) return less(w, columns, 'size.w', 'across');
		if (cut.depth !== undefined && (cut.depth >= columns || w > cut.depth))
			return {
				field: 'depth',
				message: `must be from ${w}, the tab's width, to ${columns - 1} of ${columns} squares across; it is ${cut.depth}`
			};
		if (count <= most) return undefined;
		return {
			field: 'leaves.last',
			message: `${count} tabs of ${step} need ${count * step} rows and the page has ${left}${from > 0 ? ` from row ${from} on` : ''}: at most ${most} (${left} ÷ ${step})`
		};
	}
	if (kind === 'window' || kind === 'glue') {
		if (!cut.rect) return { field: 'rect', message: 'is missing' };
		const { x, y, w, h } = cut.rect;
		if (x >= 0 && y >= 0 && x + w <= columns && y + h <= rows) return undefined;
		return {
			field: 'rect',
			message: `${w} × ${h} squares from (${x}, ${y}) reach over the page of ${columns} × ${rows}`
		};
	}
	return (cut.points?.length ?? 0) < 3
		? { field: 'points', message: 'an outline needs at least three points' }
		: undefined;
}

function less(amount: number, all: number, field: string, way: string): CutFault | undefined {
	if (amount > 0 && amount < all) return undefined;
	return {
		field,
		message: `must be from 1 to ${Math.ceil(all) - 1} of ${all} squares ${way}; it is ${amount}`
	};
}
