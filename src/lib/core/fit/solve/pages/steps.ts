import type { Group } from './group';

/** A step from one place in the order to a later one, or to fewer fillers. */
export interface Step {
	readonly to: number;
	/** Fillers placed by it, as a code. */
	readonly taken: number;
	/** Rows that a spread takes of the page after it, or whether it takes all of that page. */
	readonly top: number;
	readonly whole: boolean;
	/** What it costs at least besides the price of its group. */
	readonly price: number;
	readonly group: Group | undefined;
}

/** Instead of rows: the whole page. */
export const wholePage = -1;

/**
 * The steps from one place, those that take the same fillers side by side. What is looked at often lies in rows of
 * plain numbers: there are so many steps that fetching each of them from all over the memory takes most of the time.
 */
export class Steps {
	/** Where those begin that take the same fillers, and where the last ones end. */
	readonly runs: readonly { readonly taken: number; readonly from: number; readonly to: number }[];
	/** For each step, where it leads. */
	readonly to: Int32Array;
	/** For each step, the rows that it takes of the page after, or that it takes all of that page. */
	readonly over: Int32Array;
	/** For each step, what it costs at least, with what was known of its group when it was priced. */
	readonly least: Float64Array;
	private readonly steps: readonly Step[];

	constructor(found: Iterable<Step>) {
		this.steps = [...found].sort((a, b) => a.taken - b.taken);
		const { steps } = this;
		this.to = Int32Array.from(steps, ({ to }) => to);
		this.over = Int32Array.from(steps, ({ top, whole }) => (whole ? wholePage : top));
		this.least = new Float64Array(steps.length);
		const starts = [...steps.keys()].filter((at) => steps[at]?.taken !== steps[at - 1]?.taken);
		this.runs = starts.map((from, index) => {
			const to = starts[index + 1] ?? steps.length;
			return { taken: steps[from]?.taken ?? 0, from, to };
		});
	}

	/** Takes over what is known of the groups by now. */
	price(): void {
		const { steps, least } = this;
		for (let at = 0; at < steps.length; at++) {
			const step = steps[at];
			least[at] = (step?.price ?? 0) + (step?.group?.lower ?? 0);
		}
	}

	step(at: number): Step | undefined {
		return this.steps[at];
	}
}
