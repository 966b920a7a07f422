import type { Rect } from '../../../paper';
import type { Problem, SpreadOption } from './problem';

/** What a spread takes at the top of a page: so many rows, or from here on a shape. */
const firstShape = 1024;

/** Squares that spreads cover where others may stand beside them, each numbered above all rows. */
export class Shapes {
	private readonly all: (readonly Rect[])[] = [];
	private readonly codes = new Map<string, number>();
	private readonly widest: number;

	constructor({ pages }: Problem) {
		this.widest = Math.max(1, ...pages.map(({ w }) => w));
	}

	/** What an option takes of its left page (0) or of its right one (1), as one number. */
	codeOf({ left, right, covers }: SpreadOption, on: 0 | 1): number {
		if (!covers) return on === 0 ? left : right;
		const shape = covers[on];
		const name = JSON.stringify(shape);
		let code = this.codes.get(name);
		if (code === undefined) {
			if (this.all.length >= firstShape) throw new RangeError('spreads of too many shapes');
			code = firstShape + this.all.length;
			this.codes.set(name, code);
			this.all.push(shape);
		}
		return code;
	}

	/** The squares of a shape; undefined for rows. */
	squaresOf(code: number): readonly Rect[] | undefined {
		return code < firstShape ? undefined : this.all[code - firstShape];
	}

	/** Rows that take no more of any page than what a number stands for. */
	rowsOf(code: number): number {
		const squares = this.squaresOf(code);
		if (!squares) return code;
		return Math.floor(squares.reduce((area, { w, h }) => area + w * h, 0) / this.widest);
	}
}
