import { cutOrder, frontOf } from '../../cuts';
import { cutsOf, kindOf, type Plan, type Run } from '../../fit';
import { minutesOfPicture } from '../../forms';
import { blocksOn, handMarks, pastedOn, pieceMarks, themeOn } from '../../page';
import { letters } from '../../hand';
import type { Mark, Tone } from '../../draw';
import { firstDayOfWeek, formatMonth, monthShape } from '../../month';
import { spreadOf } from '../../paper';
import { lightness, paletteOf } from '../../theme';
import { bestOrder, type OrderProblem, type Ordered } from './order';
import { noWork, secondsFor, type OwnPace, type Work } from '../means/pace';
import type { PassId } from '../means/passes';
import { rulesIn, type Task } from './rules';
import { dryingOf, type Shelf } from '../means/shelf';

/** With what, how fast and by which rules a person works. */
export interface Workshop {
	readonly shelf: Shelf;
	readonly pace: OwnPace;
	/** Rules that the person has switched off. */
	readonly off: readonly string[];
	/** Minutes that a picture takes. */
	readonly pictureMinutes: number;
	/** Whether the left hand writes. */
	readonly leftHanded?: boolean | undefined;
}

/** All there is to do on an open spread, and the order in which it is done first. */
export interface SpreadWork {
	readonly left: number;
	/** Pages of the month on it that are not drawn yet. */
	readonly pages: readonly number[];
	readonly tasks: readonly Task[];
	readonly problem: OrderProblem;
	readonly ordered: Ordered;
	/** The first day on which it is needed, such as 2027-05-03. */
	readonly neededBy: string;
}

/** What is still to be drawn of a month, spread by spread as they lie in the book. */
export function monthWork(plan: Plan, run: Run, workshop: Workshop): SpreadWork[] {
	const pages = run.pages.map(({ number }) => number).filter((page) => !isDrawn(plan, page));
	const lefts = [...new Set(pages.map((page) => spreadOf(page).left))];
	return lefts.flatMap((left): SpreadWork[] => {
		const here = pages.filter((page) => spreadOf(page).left === left);
		const tasks = here.flatMap((page) => tasksOf(plan, run, page, workshop));
		if (tasks.length === 0) return [];
		const problem = problemOf(tasks, workshop);
		const neededBy = neededOn(plan, run, here);
		return [{ left, pages: here, tasks, problem, ordered: bestOrder(problem), neededBy }];
	});
}

/** Work and waiting of some spreads. */
export function secondsOf(work: readonly SpreadWork[]): number {
	return work.reduce((sum, { ordered }) => sum + ordered.end, 0);
}

function isDrawn(plan: Plan, page: number): boolean {
	return plan.drawn?.pages.includes(page) ?? false;
}

/**
 * Tasks and the waits between them: what the rules say of two tasks of one page, and of the page on the side of the writing arm,
 * that nothing is begun on it while the facing page is wet.
 */
export function problemOf(
	tasks: readonly Task[],
	{ shelf, off, leftHanded = false }: Pick<Workshop, 'shelf' | 'off' | 'leftHanded'>
): OrderProblem {
	const holding = rulesIn(off);
	const acrossPages = holding.some((rule) => rule.acrossPages);
	const armSide = leftHanded ? 0 : 1;
	return {
		jobs: tasks.map(({ seconds, pass, page }) => {
			const place = page % 2;
			return {
				length: seconds,
				tail: dryingOf(shelf, pass).touch,
				place,
				...(acrossPages && place === armSide ? { clear: 1 - place } : {})
			};
		}),
		delays: tasks.flatMap((first, from) =>
			tasks.flatMap((second, to) => {
				if (first === second || first.page !== second.page) return [];
				const waits = holding.flatMap((rule) => rule.wait(first, second, shelf) ?? []);
				return waits.length > 0 ? [{ from, to, least: Math.max(...waits) }] : [];
			})
		)
	};
}

/** The tasks of a page: one tint a colour, the other passes once. Cuts are made on a leaf's front. */
export function tasksOf(
	plan: Plan,
	run: Run,
	page: number,
	{ pace, pictureMinutes }: Pick<Workshop, 'pace' | 'pictureMinutes'>
): Task[] {
	const marks = handMarks(plan, run, page);
	const pasted = pastedOn(run, page).length;
	const { tones } = paletteOf(themeOn(plan, run, page));
	const task = (pass: PassId, work: Work, tone?: Tone): Task => ({
		id: [page, pass, tone].filter(Boolean).join(' '),
		page,
		pass,
		...(tone ? { tone, light: lightness(tones[tone]) } : {}),
		seconds: secondsFor(pass, work, pace)
	});
	const cut = page === frontOf(page) && isCut(plan, page);
	// A leaf may be cut for what stands on its back alone.
	if (marks.length === 0 && pasted === 0) return cut ? [task('cut', noWork)] : [];
	const lettered = lettersIn(marks, true);
	const written = lettersIn(marks, false);
	const minutes = pictureMinutesOn(plan, run, page, pictureMinutes);
	const { pitchMm } = plan.notebook;
	const ruled = ruledIn(marks, pitchMm);
	return [
		...(cut ? [task('cut', noWork)] : []),
		...(lettered > 0 ? [task('pencil', { ...noWork, letters: lettered })] : []),
		...tintsIn(marks, pitchMm).map(([tone, work]) => task('tint', work, tone)),
		...(ruled.strokes > 0 ? [{ ...task('rule', ruled), ...strokesIn(marks, pitchMm) }] : []),
		...(lettered > 0 ? [task('letter', { ...noWork, letters: lettered })] : []),
		...(written > 0 ? [task('write', { ...noWork, letters: written })] : []),
		...(minutes > 0
			? [{ id: `${page} picture`, page, pass: 'picture' as const, seconds: 60 * minutes }]
			: []),
		...(pasted > 0 ? [task('paste', { ...noWork, strokes: pasted })] : []),
		...(lettered > 0 ? [task('erase', noWork)] : []),
		task('look', noWork)
	];
}

/** Minutes that the pictures of a page take: what is wished for as it says, the rest together as the person says. */
function pictureMinutesOn(plan: Plan, run: Run, page: number, usual: number): number {
	return blocksOn(run, page)
		.filter(({ as }) => !as.pasted)
		.map((block) => {
			const piece = block.pieces.find((one) => one.page === page);
			if (block.form === 'picture' && piece)
				return minutesOfPicture({ rules: block.as.rules?.picture ?? {} }, piece.rect);
			const isKept = pieceMarks(plan, block, page).some(
				(mark) => mark.kind === 'tint' && mark.tone === 'art'
			);
			return isKept ? usual : 0;
		})
		.reduce((sum, minutes) => sum + minutes, 0);
}

function isCut(plan: Plan, front: number): boolean {
	return cutOrder(plan.notebook, cutsOf(plan)).some((step) => step.front === front);
}

function lettersIn(marks: readonly Mark[], drawn: boolean): number {
	return marks.reduce(
		(sum, mark) =>
			mark.kind === 'text' && (mark.style === 'lettering') === drawn
				? sum + letters(mark.text).length
				: sum,
		0
	);
}

function ruledIn(marks: readonly Mark[], pitchMm: number): Work {
	return marks.reduce((work, mark) => {
		if (mark.kind !== 'line' && mark.kind !== 'arc') return work;
		const squares =
			mark.kind === 'line'
				? Math.hypot(mark.x2 - mark.x1, mark.y2 - mark.y1)
				: mark.radius * Math.PI * (mark.part === 'whole' ? 2 : 1);
		return { ...work, strokes: work.strokes + 1, mm: work.mm + squares * pitchMm };
	}, noWork);
}

/** What the strokes ask of the tools. */
function strokesIn(marks: readonly Mark[], pitchMm: number): Pick<Task, 'longestMm' | 'round'> {
	const lengths = marks.flatMap((mark) =>
		mark.kind === 'line' ? [Math.hypot(mark.x2 - mark.x1, mark.y2 - mark.y1)] : []
	);
	return {
		longestMm: Math.round(Math.max(0, ...lengths) * pitchMm),
		...(marks.some(({ kind }) => kind === 'arc') ? { round: true } : {})
	};
}

/** Areas to tint by colour; where a picture goes nothing is tinted. */
function tintsIn(marks: readonly Mark[], pitchMm: number): [Tone, Work][] {
	const found = new Map<Tone, Work>();
	for (const mark of marks) {
		if (mark.kind !== 'tint' || mark.tone === 'art') continue;
		const { strokes, cm2 } = found.get(mark.tone) ?? noWork;
		const area = (mark.w * mark.h * pitchMm * pitchMm) / 100;
		found.set(mark.tone, { ...noWork, strokes: strokes + 1, cm2: cm2 + area });
	}
	return [...found];
}

/**
 * The first day on which something of a spread is used: a week's first day, the month's last for what looks back on it,
 * else the 1st. (Common practice.)
 */
function neededOn(plan: Plan, run: Run, pages: readonly number[]): string {
	const shape = monthShape(plan.month, plan.weekStart);
	const first = `${formatMonth(plan.month)}-01`;
	const last = `${formatMonth(plan.month)}-${shape.days}`;
	const days = run.blocks
		.filter(({ pieces }) => pieces.some(({ page }) => pages.includes(page)))
		.map(({ as }) => {
			if (as.part) return firstDayOfWeek(shape, as.part.week);
			return kindOf(as).purpose === 'review' ? last : first;
		});
	return days.sort()[0] ?? first;
}
