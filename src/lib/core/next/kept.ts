import { settingOf, type Block, type Plan, type Run } from '../fit';
import { formById } from '../forms';
import { monthShape } from '../month';
import { entriesOf, tallyOf, trackersOf, type Entry } from '../records';
import { pageOf } from '../paper';
import { withChanged, withRule } from '../wish';
import type { Kept, Proposal } from './proposal';

/** Everything that was kept in a month that is over, added up, with how it was ruled. */
export function keptIn(plan: Plan, run: Run, entries: readonly Entry[]): Kept[] {
	const month = monthShape(plan.month, plan.weekStart);
	return trackersOf(plan, run).flatMap((tracker): Kept[] => {
		const tally = tallyOf(tracker, entries, { month, hand: plan.hand, until: month.days });
		const block = run.blocks.find(({ wish }) => wish === tracker.wish.id);
		if (!tally || !block) return [];
		const [{ rect }] = block.pieces;
		const size = { w: rect.w, h: rect.h };
		const mostRows = rowsOfPage(plan, block);
		return [{ tracker, tally, form: block.form, days: month.days, size, mostRows }];
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

/** Lines of lists that were written and not ticked, as tasks for the next month. */
export function carried(plan: Plan, run: Run, entries: readonly Entry[]): Proposal[] {
	return trackersOf(plan, run).flatMap(({ wish, name, fields }): Proposal[] => {
		const ticks = fields.filter(({ holds }) => holds === 'tick');
		if (ticks.length === 0) return [];
		const own = entriesOf(wish.id, entries);
		const done = new Set(
			own.flatMap(({ about, holds, value }) =>
				holds === 'tick' && value === 'x' ? [`${about.item ?? ''} ${about.row}`] : []
			)
		);
		const open = own.flatMap(({ about, holds, value }) =>
			holds === 'text' && about.row !== undefined && !done.has(`${about.item ?? ''} ${about.row}`)
				? [value]
				: []
		);
		const fresh = open.filter((task) => !wish.items?.some((item) => item.name === task));
		if (fresh.length === 0) return [];
		return [
			{
				id: `${wish.id} carry`,
				wish: wish.id,
				what: `${name}: ${fresh.length} of last month’s lines stand there again`,
				why: `They were not ticked: ${fresh.slice(0, 4).join(', ')}${fresh.length > 4 ? ' …' : ''}.`,
				change: (wishes) =>
					withChanged(wishes, wish.id, (old) => ({
						...old,
						items: [...(old.items ?? []), ...fresh.map((task) => ({ name: task }))]
					}))
			}
		];
	});
}
