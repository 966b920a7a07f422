import type { Mark } from '../../draw';
import type { PageField } from '../../page';
import type { Rect } from '../../paper';
import type { Grid } from '../grid/collect';
import type { Picture, PlaceOf } from '../picture/colour';
import { gridIn } from '../grid/grid-in';
import { onPaper } from '../grid/on-paper';
import { greyOf, type Grey } from '../picture/image';
import { netOf } from '../grid/net';
import {
	inLattice,
	isAhead,
	isElsewhere,
	leastScore,
	placements,
	type Candidate,
	type Found,
	type Placement
} from './registration';
import { drawnEdges, edgesPlanned, edgesSeen, type DrawnEdges } from './unit-edges';

/** A page that a picture may show: what is ruled there, and what is filled in. */
export interface KnownPage {
	readonly page: number;
	readonly marks: readonly Mark[];
	readonly fields: readonly PageField[];
}

/** A page that was found in a picture. */
export interface SeenPage {
	/** Pages that look alike in the picture, the likeliest first: which one it is a person says where there are several. */
	readonly pages: readonly number[];
	readonly score: number;
	readonly place: PlaceOf;
	/** Whether an area of the page lies where dots were found, or near them: further away places are not known well enough. */
	readonly isNear: (rect: Rect) => boolean;
	readonly placement: Placement;
	/** Unit edges of the picture, by the lattice. */
	readonly drawn: DrawnEdges;
}

/** Why no page was found, and what would help. */
export interface NotSeen {
	readonly says: string;
}

const beyond = 3;
/** A lattice that is larger than a page by more squares shows another book. */
const mostMore = 2;

/** Dots lie so far from where the grid has them, in squares, where it is the page's (0.01 at most in trials; 0.05 on a checked cloth). */
const mostUneven = 0.03;

/** Pixels of a square in the middle of a grid. */
function squareOf({ columns, rows, warp }: Grid): number {
	const [column, row] = [columns / 2, rows / 2];
	const [here, next] = [warp.at(column, row), warp.at(column + 1, row)];
	return Math.hypot(next.x - here.x, next.y - here.y);
}

/**
 * Which of the known pages a picture shows, and where. A page that is not certain is refused in words. `progress` hears how much
 * of the work is done.
 */
export function seePage(
	picture: Picture,
	size: { readonly columns: number; readonly rows: number },
	known: readonly KnownPage[],
	progress: (share: number) => void = () => undefined
): SeenPage | NotSeen {
	const grey = greyOf(picture.rgba, picture.width, picture.height);
	const all = gridIn(grey, progress);
	if (!all)
		return {
			says: `No page was found. ${helpFor(grey)}`
		};
	const fits = (columns: number, rows: number, grid: Grid) =>
		grid.columns <= columns + mostMore && grid.rows <= rows + mostMore;
	const isOfBook = (grid: Grid) =>
		fits(size.columns, size.rows, grid) || fits(size.rows, size.columns, grid);
	const isEven = (grid: Grid) => grid.warp.error <= mostUneven * squareOf(grid);
	const grid = isOfBook(all) && isEven(all) ? all : onPaper(grey, all);
	if (!isEven(grid))
		return {
			says: `Dots were found that do not lie in one even grid. Lay the page flat on something plain. ${helpFor(grey)}`
		};
	if (!isOfBook(grid))
		return {
			says: `This page has ${grid.columns} × ${grid.rows} squares, and those of this book have ${size.columns} × ${size.rows}: is it another book?`
		};
	const drawn = drawnEdges(edgesSeen(grey, netOf(grid, beyond)), beyond);
	const candidates = known.map(({ page, marks }): Candidate => ({
		page,
		planned: edgesPlanned(marks, size.columns, size.rows)
	}));
	const [first, second] = placements(drawn, grid, candidates);
	progress(0.9);
	if (!first || first.score < leastScore)
		return {
			says: `None of this month’s pages is drawn like this${first ? ` (the nearest is page ${first.pages[0]}, at ${Math.round(100 * first.score)} of 100)` : ''}. Is it another page, or not finished yet? ${helpFor(grey)}`
		};
	if (isElsewhere(first))
		return {
			says: `This is a part of page ${first.pages[0]} that fits in more than one place of it. Take the whole page.`
		};
	const alike = second && !isAhead(first, second) ? second.pages : [];
	return seen({ ...first, pages: [...first.pages, ...alike] }, grid);
}

function seen({ pages, placement, score, drawn }: Found, grid: Grid): SeenPage {
	const place: PlaceOf = (x, y) => {
		const { column, row } = inLattice(placement, x, y);
		return grid.warp.at(column, row);
	};
	const isNear = ({ x, y, w, h }: Rect) =>
		[inLattice(placement, x, y), inLattice(placement, x + w, y + h)].every(
			({ column, row }) =>
				column >= -beyond &&
				row >= -beyond &&
				column <= grid.columns + beyond &&
				row <= grid.rows + beyond
		);
	return { pages, score, place, isNear, placement, drawn };
}

/** A picture whose lightest parts are darker than this is dark; its sharpest edges must be so steep, or it is blurred. */
const [leastLight, leastSteep] = [90, 0.45];
/** Pixels across within which an edge of a sharp picture lies. */
const edge = 4;

/** What about the picture would help, by how it looks. */
export function helpFor({ width, height, light }: Grey): string {
	if (width < 500) return `The picture is only ${width} pixels wide; 1,000 or more are needed.`;
	const lights: number[] = [];
	const [near, far]: [number[], number[]] = [[], []];
	for (let row = 0; row < height; row += 3)
		for (let column = 0; column + edge < width; column += 3) {
			const at = row * width + column;
			const own = light[at] ?? 0;
			lights.push(own);
			near.push(Math.abs(own - (light[at + 1] ?? 0)));
			far.push(Math.abs(own - (light[at + edge] ?? 0)));
		}
	const high = (values: number[], share: number) =>
		values.sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? 0;
	if (high(lights, 0.95) < leastLight)
		return 'The picture is dark: take it where there is more light.';
	if (high(near, 0.995) < leastSteep * high(far, 0.995))
		return 'The picture is blurred: hold still, and let the camera find its focus.';
	return 'Take it from straight above, in even light, so that one page fills it.';
}
