import type { Dot, OutlineShape, PageRange, Rect, Size } from '../paper';

export const cutKinds = [
	'strip',
	'top',
	'bottom',
	'tab',
	'window',
	'waterfall',
	'corner',
	'outline',
	'glue'
] as const;

/**
 * How leaves are cut: a `strip` off the outer edge or the `top` or `bottom` off (Dutch doors), a `tab` left
 * standing at the outer edge, a `window`, a `waterfall` in which each leaf is narrower than the next, rounded
 * `corner`s, a free `outline`; `glue` takes nothing away, but glued parts are lost to writing.
 */
export type CutKind = (typeof cutKinds)[number];

export const tabShapes = ['square', 'pointed', 'round'] as const;
export type TabShape = (typeof tabShapes)[number];

/** A cut through one leaf or a set of leaves; lengths and places in squares of the front page. */
export interface Cut {
	readonly id: string;
	readonly kind: CutKind;
	/** Page numbers of the first leaf's front and the last leaf's. */
	readonly leaves: PageRange;
	/** Leaves are cut at the outer edge; nobody cuts at the fold. */
	readonly side?: 'outer';
	/** Squares taken by a strip, a top or a bottom; radius of a corner from the paper's edge. */
	readonly amount?: number;
	/** A window or a glued part. */
	readonly rect?: Rect;
	readonly shape?: OutlineShape;
	/** Squares from tab to tab, or from leaf to leaf of a waterfall. */
	readonly step?: number;
	/** A tab. */
	readonly size?: Size;
	/** Row in which the first tab begins, as below an upper part that is cut away; 0 where it is not said. */
	readonly from?: number;
	readonly tabShape?: TabShape;
	/**
	 * Squares by which a tab's leaf is cut back from its outer edge, above and below the tab that stands out from there: the
	 * same on each leaf. Without it a leaf is cut away only below its tab.
	 */
	readonly depth?: number;
	/** Corners of a free outline. */
	readonly points?: readonly Dot[];
	/** The last leaf of the set stays whole. */
	readonly lastUncut?: boolean;
	/** The ruled line along the cut stays on the leaf. */
	readonly leaveLine?: boolean;
	/** What it is planned for: until it is cut it goes along with that. */
	readonly for?: CutFor;
	/** It is cut in the book: from then on the leaf is as it is. */
	readonly made?: boolean;
}

/** The wish that a cut was planned for, and the first page that this had then: how far it has moved since, the cut does too. */
export interface CutFor {
	readonly wish: string;
	readonly page: number;
}

/** Usual measures where a cut does not say its own (common practice). */
export const usual = {
	strip: 10,
	corner: 2,
	tab: { w: 2, h: 6 },
	tabDepth: 5,
	waterfallStep: 2
} as const;

/** The front of the leaf that a page belongs to; leaves are an odd page and the even one after it. */
export function frontOf(page: number): number {
	return page % 2 === 1 ? page : page - 1;
}

/** Fronts of a cut's leaves, in order. */
export function frontsOf({ leaves }: Cut): number[] {
	const fronts: number[] = [];
	for (let front = frontOf(leaves.first); front <= leaves.last; front += 2) fronts.push(front);
	return fronts;
}

/** Row in which the tab of a set's leaf begins. */
export function tabTop(cut: Cut, index: number): number {
	return (cut.from ?? 0) + index * stepOf(cut);
}

/** Squares from tab to tab, or from leaf to leaf. */
export function stepOf({ kind, step, size }: Cut): number {
	return step ?? (kind === 'tab' ? (size ?? usual.tab).h : usual.waterfallStep);
}
