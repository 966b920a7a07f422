import { pageMarks, type Plan, type Run } from '../fit';
import { pageOf, type Size } from '../paper';
import { checkList } from './check-list';
import { countingGuide } from './guide';
import type { Step } from './steps';

/** How to draw one page by counting, and what to look over in the end. */
export interface PageGuide {
	readonly page: number;
	readonly size: Size;
	readonly steps: readonly Step[];
	readonly checks: readonly string[];
}

/** The guide of a page of a run; one without steps where nothing is drawn. */
export function pageGuide(plan: Plan, run: Run, page: number): PageGuide {
	const { columns, rows } = pageOf(plan.notebook, page);
	const size = { w: columns, h: rows };
	const steps = countingGuide(size, pageMarks(plan, run, page));
	return { page, size, steps, checks: checkList(plan, run, page) };
}
