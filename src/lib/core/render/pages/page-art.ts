import { frontOf, leafLines, type CutLine } from '../../cuts';
import { slotOutline, stencilSlots, type TextMark, type Tone } from '../../draw';
import { cutsOf, type Plan, type Run } from '../../fit';
import { pageMarks, themeOn } from '../../page';
import { arcPoints, marginMm, type Dot, type Page, type Rect } from '../../paper';
import { paletteOf, usualPalette, type Colour, type Palette } from '../../theme';
import { setText, type Anchor } from './lettering-size';

/** What of a page is drawn: everything; only its lines, to be traced; or slots to be cut out of card. */
export type Drawn = 'everything' | 'lines' | 'stencil';

/** A text as it is set on paper. */
export interface ArtText {
	readonly mark: TextMark;
	/** Its line's left end, middle or right end, on the baseline. */
	readonly x: number;
	readonly y: number;
	readonly anchor: Anchor;
	readonly size: number;
}

/** A page as lines, areas and texts on its paper: all lengths in mm from the paper's upper left corner. */
export interface PageArt {
	readonly width: number;
	readonly height: number;
	readonly tints: readonly (Rect & { readonly tone: Tone })[];
	readonly dots: readonly Dot[];
	readonly strokes: readonly { readonly points: readonly Dot[]; readonly closed: boolean }[];
	/** Width of the strokes. */
	readonly pen: number;
	/** Where the leaf is cut, as measured on this page. */
	readonly cuts: readonly CutLine[];
	readonly texts: readonly ArtText[];
	readonly palette: Palette;
}

/** The ink that a text is done with. */
export function inkOf({ mark }: ArtText, { lines, lettering }: Palette): Colour {
	return mark.style === 'lettering' ? lettering : lines;
}

/** Colours of what is on the paper already, and of what is cut. */
export const inks = { dot: '#9a9a94', cut: '#a4161a' } as const;
export const dotMm = 0.35;
/** A cut is a broken line: this long, and as long a gap. */
export const cutDashMm = 2;
export const cutPenMm = 0.2;
const lineMm = 0.3;

/** Paper without anything on it. */
export const blankArt: Omit<PageArt, 'width' | 'height'> = {
	tints: [],
	dots: [],
	strokes: [],
	pen: lineMm,
	cuts: [],
	texts: [],
	palette: usualPalette
};
const hairlineMm = 0.1;

/** Everything that is to be drawn on a page of a run, where the notebook has it. */
export function pageArt(plan: Plan, run: Run, page: Page, drawn: Drawn = 'everything'): PageArt {
	const { notebook, hand } = plan;
	const { pitchMm } = notebook;
	const margin = marginMm(notebook, page.side);
	const at = ({ x, y }: Dot): Dot => ({ x: margin.x + x * pitchMm, y: margin.y + y * pitchMm });
	const marks = pageMarks(plan, run, page.number);
	const size = { width: notebook.pageMm.width, height: notebook.pageMm.height };
	const cuts = leafLines(notebook, cutsOf(plan), frontOf(page.number)).flatMap((lines) =>
		page.side === 'right' ? lines.front : lines.back
	);
	const bare = { ...blankArt, ...size, cuts };
	if (drawn === 'stencil')
		return {
			...bare,
			// The page's corner dots, to lay the stencil on.
			dots: [0, page.rows].flatMap((y) => [0, page.columns].map((x) => at({ x, y }))),
			strokes: stencilSlots(marks, pitchMm).map((slot) => ({
				points: slotOutline(slot, pitchMm).map(at),
				closed: true
			})),
			pen: hairlineMm
		};
	const strokes = marks.flatMap((mark) => {
		if (mark.kind === 'line')
			return [
				{ points: [at({ x: mark.x1, y: mark.y1 }), at({ x: mark.x2, y: mark.y2 })], closed: false }
			];
		if (mark.kind !== 'arc') return [];
		return [{ points: arcPoints(mark, mark.part).map(at), closed: mark.part === 'whole' }];
	});
	if (drawn === 'lines') return { ...bare, strokes };
	const dots: Dot[] = [];
	for (let y = 0; y <= page.rows; y++)
		for (let x = 0; x <= page.columns; x++) dots.push(at({ x, y }));
	return {
		...bare,
		palette: paletteOf(themeOn(plan, run, page.number)),
		tints: marks.flatMap((mark) =>
			mark.kind === 'tint'
				? [{ ...at(mark), w: mark.w * pitchMm, h: mark.h * pitchMm, tone: mark.tone }]
				: []
		),
		dots,
		strokes,
		texts: marks.flatMap((mark): ArtText[] => {
			if (mark.kind !== 'text') return [];
			const set = setText(mark, hand);
			const place = at({ x: set.x, y: set.baseline });
			return [{ mark, ...place, anchor: set.anchor, size: set.size * pitchMm }];
		})
	};
}
