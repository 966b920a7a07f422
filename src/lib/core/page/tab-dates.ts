import { frontOf, frontsOf, tabTop, usual, type Cut } from '../cuts';
import { text, type Mark } from '../draw';
import { firstDayOfWeek, monthShape } from '../month';
import { contains, overlaps, pageOf, type Rect } from '../paper';
import type { Plan, Run } from '../fit';
import { cutsOf, usableSquares } from '../fit';

const dayMs = 86_400_000;

/**
 * Dates on the tabs of a set of weeks: both sides of a tab name one week, on a right page the one that follows, on a left
 * page that spread's own. (Common practice.)
 */
export function tabDates(plan: Plan, run: Run, page: number): Mark[] {
	const part = run.blocks.find(
		({ as, host, pieces }) =>
			as.part && !host && pieces.some((piece) => piece.page === (page % 2 === 1 ? page + 1 : page))
	)?.as.part;
	if (!part) return [];
	const first = Date.parse(firstDayOfWeek(monthShape(plan.month, plan.weekStart), part.week));
	const [from, to] = [first, first + 6 * dayMs].map((day) => new Date(day).getUTCDate());
	// Where a cut is only tried, what lies there still stands where the tab would be.
	const taken = run.blocks.flatMap(({ pieces }) =>
		pieces.flatMap((piece) => (piece.page === page ? [piece.rect] : []))
	);
	return cutsOf(plan)
		.flatMap((cut) => tabOn(plan, cut, page) ?? [])
		.filter((rect) => !taken.some((other) => overlaps(other, rect)))
		.map((rect): Mark => ({ ...text(`${from}–${to}`, rect, 'hand'), turned: true }));
}

/** The squares of a tab that stands out from a page's edge. */
function tabOn(plan: Plan, cut: Cut, page: number): Rect | undefined {
	const { kind, depth, size = usual.tab } = cut;
	const fronts = frontsOf(cut);
	const index = fronts.indexOf(frontOf(page));
	const whole = cut.lastUncut && index === fronts.length - 1;
	if (kind !== 'tab' || depth === undefined || index < 0 || whole) return undefined;
	const { columns } = pageOf(plan.notebook, page);
	const x = page % 2 === 1 ? columns - depth : depth - size.w;
	const rect = { x, y: tabTop(cut, index), ...size };
	return usableSquares(plan, page).rects.some((usable) => contains(usable, rect))
		? rect
		: undefined;
}
