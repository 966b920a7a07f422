import { frontsOf, stepOf, tabTop, usual, type Cut } from '$lib/core/cuts';
import type { Dot, Rect } from '$lib/core/paper';

/** A place at which a cut is taken and pulled, in squares of the front page. */
export interface CutHandle extends Dot {
	readonly name: string;
	/** Which way it can be pulled. */
	readonly way: 'across' | 'down' | 'both';
	/** The cut with this place somewhere else. */
	readonly to: (dot: Dot) => Cut;
}

/** How many squares a page has. */
interface PageSquares {
	readonly columns: number;
	readonly rows: number;
}

/** A value as a whole number within limits. */
const clamp = (value: number, most: number, least = 1) =>
	Math.min(most, Math.max(least, Math.round(value)));

/** The places at which a cut is pulled on one of its leaves. */
export function cutHandles(cut: Cut, front: number, page: PageSquares): CutHandle[] {
	const { columns, rows } = page;
	const fronts = frontsOf(cut);
	const index = fronts.indexOf(front);
	if (index < 0) return [];
	switch (cut.kind) {
		case 'strip': {
			const amount = cut.amount ?? usual.strip;
			return [
				{
					name: 'Edge of the door',
					way: 'across',
					x: columns - amount,
					y: rows / 2,
					to: ({ x }) => ({ ...cut, amount: clamp(columns - x, columns - 1) })
				}
			];
		}
		case 'top':
		case 'bottom': {
			const amount = cut.amount ?? Math.floor(rows / 3);
			const top = cut.kind === 'top';
			return [
				{
					name: 'Edge of the door',
					way: 'down',
					x: columns / 2,
					y: top ? amount : rows - amount,
					to: ({ y }) => ({ ...cut, amount: clamp(top ? y : rows - y, rows - 1) })
				}
			];
		}
		case 'corner': {
			const amount = cut.amount ?? usual.corner;
			const most = Math.floor(Math.min(columns, rows) / 2) - 1;
			return [
				{
					name: 'Radius of the corner',
					way: 'across',
					x: columns - amount,
					y: 0,
					to: ({ x }) => ({ ...cut, amount: clamp(columns - x, most) })
				}
			];
		}
		case 'waterfall': {
			const after = fronts.length - 1 - index;
			if (after === 0) return [];
			const most = Math.floor((columns - 1) / (fronts.length - 1));
			return [
				{
					name: 'Edge of this leaf',
					way: 'across',
					x: columns - after * stepOf(cut),
					y: rows / 2,
					to: ({ x }) => ({ ...cut, step: clamp((columns - x) / after, most) })
				}
			];
		}
		case 'tab':
			return tabHandles(cut, index, page);
		case 'window':
		case 'glue':
			return cut.rect ? corners(cut, cut.rect, columns, rows) : [];
		case 'outline':
			return pointHandles(cut, page);
	}
}

function corners(cut: Cut, rect: Rect, columns: number, rows: number): CutHandle[] {
	const [right, bottom] = [rect.x + rect.w, rect.y + rect.h];
	const between = (value: number, least: number, most: number) =>
		Math.min(most, Math.max(least, Math.round(value)));
	return [
		{
			name: 'Upper left corner',
			way: 'both',
			x: rect.x,
			y: rect.y,
			to: (dot) => {
				const [x, y] = [between(dot.x, 0, right - 1), between(dot.y, 0, bottom - 1)];
				return { ...cut, rect: { x, y, w: right - x, h: bottom - y } };
			}
		},
		{
			name: 'Lower right corner',
			way: 'both',
			x: right,
			y: bottom,
			to: (dot) => {
				const w = between(dot.x, rect.x + 1, columns) - rect.x;
				const h = between(dot.y, rect.y + 1, rows) - rect.y;
				return { ...cut, rect: { ...rect, w, h } };
			}
		}
	];
}

/** One place for each tab: how far it reaches in, or how far its leaf is cut back beside it. */
function tabHandles(cut: Cut, index: number, { columns, rows }: PageSquares): CutHandle[] {
	const { w, h } = cut.size ?? usual.tab;
	const { depth } = cut;
	if (depth !== undefined)
		return [
			{
				name: 'Edge of the leaf beside the tab',
				way: 'across',
				x: columns - depth,
				y: Math.min(rows, tabTop(cut, index) + h + 2),
				to: ({ x }) => ({ ...cut, depth: Math.max(w, clamp(columns - x, columns - 1)) })
			}
		];
	return [
		{
			name: 'Inner edge of the tabs',
			way: 'across',
			x: columns - w,
			y: Math.min(rows, tabTop(cut, index) + h + 2),
			to: ({ x }) => ({ ...cut, size: { w: clamp(columns - x, columns - 1), h } })
		}
	];
}

/** A place for each point of an outline. */
function pointHandles(cut: Cut, { columns, rows }: PageSquares): CutHandle[] {
	return (cut.points ?? []).map(({ x, y }, at) => ({
		name: `Point ${at + 1}`,
		way: 'both' as const,
		x,
		y,
		to: (dot) => ({
			...cut,
			points: (cut.points ?? []).map((point, other) =>
				other === at ? { x: clamp(dot.x, columns + 1, -1), y: clamp(dot.y, rows + 1, -1) } : point
			)
		})
	}));
}
