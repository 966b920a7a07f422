import { settingOf, type Block, type Plan, type Run } from '../fit';
import { subjectKey } from '../draw';
import { formById } from '../forms';
import { monthShape } from '../month';
import {
	entriesOf,
	fullness,
	quantileOf,
	tallyOf,
	trackersOf,
	type Entry,
	type Tracker
} from '../records';
import { pageOf, type Size } from '../paper';
import { withRule } from '../wish';
import type { Kept } from './proposal';
import { moreEnd } from './table-proposals';

/** Everything that was kept in a month that is over, added up, with how it was ruled. */
export function keptIn(plan: Plan, run: Run, entries: readonly Entry[]): Kept[] {
	const month = monthShape(plan.month, plan.weekStart);
	const all = trackersOf(plan, run).flatMap((tracker): Kept[] => {
		const tally = tallyOf(tracker, entries, { month, hand: plan.hand, until: month.days });
		const block = run.blocks.find(({ wish }) => wish === tracker.wish.id);
		if (!tally || !block) return [];
		const [{ rect }] = block.pieces;
		const size = { w: rect.w, h: rect.h };
		const mostRows = rowsOfPage(plan, block);
		const own = entriesOf(tracker.wish.id, entries);
		const said = own.find(({ about, holds }) => holds === 'full' && subjectKey(about) === '');
		const full = fullness.find((name) => name === said?.value);
		const figures = figuresIn(plan, tracker, own);
		const { cell } = block.facts;
		return [
			{
				tracker,
				tally,
				form: block.form,
				days: month.days,
				size,
				mostRows,
				page: pageSizeOf(plan, block),
				...(cell ? { cell } : {}),
				...(full ? { full } : {}),
				...(figures ? { figures } : {})
			}
		];
	});
	return joined(all);
}

function pageSizeOf(plan: Plan, { pieces: [{ page }] }: Block): Size {
	const { columns: w, rows: h } = pageOf(plan.notebook, page);
	return { w, h };
}

/** What numbers take in the person’s hand, beside the narrowest place for one. */
function figuresIn(
	{ hand }: Plan,
	{ fields }: Tracker,
	own: ReturnType<typeof entriesOf>
): Kept['figures'] {
	const widths = own.flatMap(({ holds, value }) =>
		holds === 'number' ? [value.length / hand.figuresPerSquare] : []
	);
	const needed = quantileOf(widths, 0.95);
	const places = fields.flatMap(({ holds, w }) => (holds === 'number' ? [w] : []));
	if (needed === undefined || places.length === 0) return undefined;
	return { needed: Math.ceil(needed), there: Math.min(...places) };
}

/** A table that goes on in another one is one thing: its rows are counted together. */
function joined(all: readonly Kept[]): Kept[] {
	return all.flatMap((kept): Kept[] => {
		const { id } = kept.tracker.wish;
		const of = (wish: string) => all.find(({ tracker }) => tracker.wish.id === wish);
		if (id.endsWith(moreEnd) && of(id.slice(0, -moreEnd.length))) return [];
		const more = of(id + moreEnd);
		if (kept.tally.of !== 'rows' || more?.tally.of !== 'rows') return [kept];
		const [one, other] = [kept.tally, more.tally];
		const full = one.used >= one.ruled && other.used >= other.ruled;
		return [
			{
				...kept,
				tally: {
					...one,
					used: one.used + other.used,
					ruled: one.ruled + other.ruled,
					ranOut: full ? other.ranOut : undefined
				}
			}
		];
	});
}

/** The most lines that a block's form gives a whole page of the book; none where it has no lines of its own. */
function rowsOfPage(plan: Plan, { as, form: id, pieces: [{ page }] }: Block): number {
	const form = formById(id);
	if (!form) return 0;
	const { columns, rows } = pageOf(plan.notebook, page);
	const bare = withRule(withRule(as.rules, id, 'entries', undefined), id, 'lines', undefined);
	const setting = settingOf(plan, { ...as, rules: bare }, form);
	const layouts = form.layouts(setting, { span: 'page', w: columns, h: rows });
	return Math.max(0, ...layouts.map(({ facts }) => facts.capacity ?? 0));
}
