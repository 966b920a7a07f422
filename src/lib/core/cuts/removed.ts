import {
	arcPieces,
	compassIn,
	marginMm,
	outlineIn,
	pageOf,
	type Dot,
	type Notebook,
	type Size
} from '../paper';
import { frontsOf, stepOf, tabTop, usual, type Cut } from './cut';

/** A closed outline in mm. */
export type Outline = readonly Dot[];

/** How far a cut keeps off the ruled line that is to stay, in mm (common practice). */
const lineMm = 0.5;

/** What one cut takes out of one leaf. */
export interface Removal {
	readonly cut: Cut;
	/** In mm from the upper left paper corner of the front. */
	readonly outlines: readonly Outline[];
}

/** What all cuts take out of a leaf, in mm from the upper left paper corner of its front. */
export function removals(notebook: Notebook, cuts: readonly Cut[], front: number): Removal[] {
	return cuts.reduce<Removal[]>((done, cut) => {
		const fronts = frontsOf(cut);
		const index = fronts.indexOf(front);
		if (index < 0 || cut.kind === 'glue') return done;
		if (cut.lastUncut && index === fronts.length - 1) return done;
		const outlines =
			cut.kind === 'corner'
				? roundedOf(notebook, cut, done)
				: outlinesOf(notebook, cut, front, index, fronts.length);
		return outlines.length > 0 ? [...done, { cut, outlines }] : done;
	}, []);
}

/** Both outer corners of what earlier cuts have left of a leaf, rounded. */
function roundedOf(notebook: Notebook, cut: Cut, done: readonly Removal[]): Outline[] {
	const { width, height } = notebook.pageMm;
	const radius = (cut.amount ?? usual.corner) * notebook.pitchMm;
	const takes = (kinds: readonly Cut['kind'][]) =>
		done.flatMap(({ cut, outlines }) => (kinds.includes(cut.kind) ? outlines.flat() : []));
	const right = Math.min(width, ...takes(['strip', 'waterfall']).map(({ x }) => x));
	const top = Math.max(0, ...takes(['top']).map(({ y }) => y));
	const bottom = Math.min(height, ...takes(['bottom']).map(({ y }) => y));
	return [roundedCorner(right, top, radius, 1), roundedCorner(right, bottom, radius, -1)];
}

/** The same outlines seen on the leaf's back, in mm from the back's own upper left corner. */
export function mirrored(notebook: Notebook, outline: Outline): Outline {
	return outline.map(({ x, y }) => ({ x: notebook.pageMm.width - x, y }));
}

function outlinesOf(
	notebook: Notebook,
	cut: Cut,
	front: number,
	index: number,
	count: number
): Outline[] {
	const { width, height } = notebook.pageMm;
	const { columns, rows } = pageOf(notebook, front);
	const margin = marginMm(notebook, 'right');
	const at = ({ x, y }: Dot): Dot => ({
		x: margin.x + x * notebook.pitchMm,
		y: margin.y + y * notebook.pitchMm
	});
	const off = cut.leaveLine ? lineMm : 0;
	const fromColumn = (column: number, top = 0, bottom = height) =>
		box(at({ x: column, y: 0 }).x + off, top, width, bottom);
	/** What is cut away around a tab that stands out from a column, from the upper edge to the lower one. */
	const aroundTab = (column: number, { w, h, top }: Size & { readonly top: number }): Outline => {
		const edge = at({ x: column, y: 0 }).x + off;
		const tab = tabOutline(cut.tabShape, { w, h }).map(({ x, y }) =>
			at({ x: column + x, y: top + y })
		);
		return [
			{ x: width, y: 0 },
			{ x: edge, y: 0 },
			...tab.map(({ x, y }) => ({ x: x + off, y })),
			{ x: edge, y: height },
			{ x: width, y: height }
		];
	};
	switch (cut.kind) {
		case 'strip':
			return [fromColumn(columns - (cut.amount ?? usual.strip))];
		case 'waterfall': {
			const narrower = (count - 1 - index) * stepOf(cut);
			return narrower > 0 ? [fromColumn(columns - narrower)] : [];
		}
		case 'top':
			return [box(0, 0, width, at({ x: 0, y: cut.amount ?? Math.floor(rows / 3) }).y - off)];
		case 'bottom':
			return [
				box(0, at({ x: 0, y: rows - (cut.amount ?? Math.floor(rows / 3)) }).y + off, width, height)
			];
		case 'tab': {
			const { w, h } = cut.size ?? usual.tab;
			const top = tabTop(cut, index);
			if (cut.depth !== undefined) return [aroundTab(columns - cut.depth, { w, h, top })];
			const below = at({ x: 0, y: top + h }).y + off;
			// Below its own tab a leaf makes room for the tabs of those that lie under it.
			return below < height ? [fromColumn(columns - w, below)] : [];
		}
		case 'window':
			return cut.rect ? [shrunk(outlineIn(cut.rect, cut.shape ?? 'rectangle').map(at), off)] : [];
		case 'outline':
			return cut.points && cut.points.length > 2 ? [cut.points.map(at)] : [];
		case 'corner':
		case 'glue':
			return [];
	}
}

function box(left: number, top: number, right: number, bottom: number): Outline {
	return [
		{ x: left, y: top },
		{ x: right, y: top },
		{ x: right, y: bottom },
		{ x: left, y: bottom }
	];
}

/** A tab's outline from the edge it stands on and back, in squares. */
function tabOutline(shape: Cut['tabShape'] = 'square', { w, h }: Size): Dot[] {
	const end = [{ x: 0, y: h }];
	switch (shape) {
		case 'square':
			return [{ x: 0, y: 0 }, { x: w, y: 0 }, { x: w, y: h }, ...end];
		case 'pointed':
			return [{ x: 0, y: 0 }, { x: w, y: h / 2 }, ...end];
		case 'round':
			return Array.from({ length: 2 * arcPieces + 1 }, (_, index) => {
				const angle = (index / (2 * arcPieces)) * Math.PI;
				return { x: w * Math.sin(angle), y: (h / 2) * (1 - Math.cos(angle)) };
			});
	}
}

/** Where a compass stands for a window, and how wide it is open, in squares; for a circle, and for an arch's upper part. */
export function compassOf({ rect, shape = 'rectangle' }: Pick<Cut, 'rect' | 'shape'>) {
	return rect && compassIn(rect, shape);
}

/** An outline drawn towards its middle, so that the line around it stays. */
function shrunk(outline: Outline, by: number): Outline {
	if (by === 0) return outline;
	const xs = outline.map(({ x }) => x);
	const ys = outline.map(({ y }) => y);
	const [left, right, top, bottom] = [
		Math.min(...xs),
		Math.max(...xs),
		Math.min(...ys),
		Math.max(...ys)
	];
	const near = (value: number, low: number, high: number) =>
		low + by + ((value - low) / (high - low)) * (high - low - 2 * by);
	return outline.map(({ x, y }) => ({ x: near(x, left, right), y: near(y, top, bottom) }));
}

/** What lies outside a quarter of a circle at an outer corner; `down` is 1 at the top, -1 at the foot. */
function roundedCorner(x: number, y: number, radius: number, down: 1 | -1): Outline {
	const arc = Array.from({ length: arcPieces + 1 }, (_, index) => {
		const angle = (index / arcPieces) * (Math.PI / 2);
		return {
			x: x - radius + radius * Math.sin(angle),
			y: y + down * (radius - radius * Math.cos(angle))
		};
	});
	return [{ x, y }, ...arc];
}
