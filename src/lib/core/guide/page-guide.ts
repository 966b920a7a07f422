import { cutOrder, frontOf, frontsOf, leafLines } from '../cuts';
import { cutsOf, kindOf, titleOf, usableSquares, type Plan, type Run } from '../fit';
import { blocksOn, handMarks, pastedOn } from '../page';
import { marginMm, pageOf, type Dot, type Size } from '../paper';
import { checkList } from './check-list';
import { guided } from './guide';
import { portionsOf, type NamedPlace, type Portion } from './portions';
import { cornersOf } from './place';
import type { Step } from './steps';

/** Where a leaf is cut, in squares from a page's first dot; a cut need not lie on dots. */
export interface CutTicks {
	readonly top: readonly number[];
	readonly side: readonly number[];
}

/** How to draw one page by counting, and what to look over in the end. */
export interface PageGuide {
	readonly page: number;
	readonly size: Size;
	/** What is cut, measured on this page: before anything is ruled, but for a window. */
	readonly cuts: readonly string[];
	/** A window is cut in between, and its page finished last: `cuts` says in which order. */
	readonly cutsBetween: boolean;
	readonly cutTicks: CutTicks;
	/** Corner dots to count from: the page's, or those of what the cuts leave of it. */
	readonly corners: readonly Dot[];
	readonly steps: readonly Step[];
	/** The steps in portions that a hand does in one go. */
	readonly portions: readonly Portion[];
	/** What is printed and pasted in, once the ink is dry. */
	readonly pastes: readonly string[];
	readonly checks: readonly string[];
}

/** More parts of a cut page than these are crumbs; nobody counts from them. */
const mostParts = 2;

/** The guide of a page of a run; one without steps where nothing is drawn. */
export function pageGuide(plan: Plan, run: Run, page: number): PageGuide {
	const { columns, rows } = pageOf(plan.notebook, page);
	const size = { w: columns, h: rows };
	const parts = usableSquares(plan, page).rects.slice(0, mostParts);
	const corners = parts.flatMap(cornersOf);
	const { pitchMm } = plan.notebook;
	const { writes } = plan.hand;
	const marks = handMarks(plan, run, page);
	const found = guided(size, marks, corners, writes);
	const steps = found.steps.map((step): Step =>
		step.kind === 'compass' ? { ...step, mm: (step.end.at.x - step.begin.at.x) * pitchMm } : step
	);
	const portions = portionsOf(found, namesOn(run, page), marks);
	const cut = cutOrder(plan.notebook, cutsOf(plan))
		.filter(({ front }) => front === frontOf(page))
		.map(({ text, back }) => (page === frontOf(page) || back === '' ? text : back));
	const pastes = pastesOn(plan, run, page);
	const checks = checkList(plan, run, page);
	const cutsBetween = hasWindow(plan, page);
	const cuts = cutsBetween ? aroundWindow(page, cut) : cut;
	return {
		page,
		size,
		cuts,
		cutsBetween,
		cutTicks: cutTicks(plan, page),
		corners,
		steps,
		portions,
		pastes,
		checks
	};
}

/** What stands on a page by name, each where it lies. */
function namesOn(run: Run, page: number): NamedPlace[] {
	return blocksOn(run, page).flatMap(({ as, pieces }) =>
		pieces.flatMap(({ page: on, rect }) =>
			on === page ? [{ name: as.title || kindOf(as).name, rect }] : []
		)
	);
}

function pastesOn(plan: Plan, run: Run, page: number): string[] {
	const { pitchMm } = plan.notebook;
	const mm = (squares: number) => Math.round(squares * pitchMm * 10) / 10;
	return pastedOn(run, page).map(({ block, rect: { x, y, w, h } }) => {
		const title = titleOf(plan, block);
		const name = title ? `“${title}”` : kindOf(block.as).name.toLowerCase();
		return `Print page ${page} at true scale, cut out ${name} along its edge, ${w} × ${h} squares (${mm(w)} × ${mm(h)} mm), and paste it with its upper left corner on (${x}, ${y}), the lower right one on (${x + w}, ${y + h}).`;
	});
}

function hasWindow(plan: Plan, page: number): boolean {
	return cutsOf(plan).some((cut) => cut.kind === 'window' && frontsOf(cut).includes(frontOf(page)));
}

/** What a page with a window is drawn in: reserve, what shows through, cut, finish. (Common practice.) */
function aroundWindow(page: number, cut: readonly string[]): string[] {
	const beneath = page === frontOf(page) ? page + 2 : page - 2;
	return [
		'Pencil the window and leave its place free.',
		`Draw on page ${beneath} what is to show through it.`,
		...cut,
		`Then finish page ${page}.`
	];
}

function cutTicks(plan: Plan, page: number): CutTicks {
	const { notebook } = plan;
	const front = frontOf(page);
	const margin = marginMm(notebook, page === front ? 'right' : 'left');
	const lines = leafLines(notebook, cutsOf(plan), front).flatMap((leaf) =>
		page === front ? leaf.front : leaf.back
	);
	const squares = (mm: number, first: number) => (mm - first) / notebook.pitchMm;
	return {
		top: lines.flatMap(({ from, to }) => (from.x === to.x ? [squares(from.x, margin.x)] : [])),
		side: lines.flatMap(({ from, to }) => (from.y === to.y ? [squares(from.y, margin.y)] : []))
	};
}
