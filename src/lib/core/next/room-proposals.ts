import { formById, type Form } from '../forms';
import type { Plan, Run } from '../fit';
import { withChanged, withRule, type Wish } from '../wish';
import type { Kept, Proposal } from './proposal';

/** The rule that says how large a form's cells are, where it has one. */
function cellRule(form: Form | undefined) {
	return form?.rules.find(({ name, kind }) => name === 'cell' && kind !== 'flag');
}

/** Wishes with the cells of one of them as large as that. */
function withCell(
	wishes: readonly Wish[],
	id: string,
	formId: string,
	{ w, h }: { readonly w: number; readonly h: number }
): readonly Wish[] {
	const rule = cellRule(formById(formId));
	return withChanged(wishes, id, (wish) => ({
		...wish,
		size: undefined,
		pin: undefined,
		form: formId,
		rules: withRule(wish.rules, formId, 'cell', rule?.kind === 'size' ? { w, h } : w)
	}));
}

/** Cells one square larger: in both directions, or only wider. Nothing where the form's cells have no size of their own. */
export function largerCells(kept: Kept, way: 'wider' | 'both', why: string): Proposal[] {
	const { cell, form, tracker } = kept;
	const rule = cellRule(formById(form));
	if (!cell || !rule) return [];
	const size = { w: cell.w + 1, h: cell.h + (way === 'both' && rule.kind === 'size' ? 1 : 0) };
	return [
		{
			id: `${tracker.wish.id} cells`,
			wish: tracker.wish.id,
			what: `${tracker.name}: cells of ${size.w} × ${size.h} squares instead of ${cell.w} × ${cell.h}`,
			why,
			change: (wishes) => withCell(wishes, tracker.wish.id, form, size)
		}
	];
}

/** Cells that hold the busiest day’s events and one line more, with the date’s own line. (Common practice.) */
export function calendarProposals(plan: Plan, run: Run): Proposal[] {
	return run.blocks.flatMap(({ as, form, facts: { cell } }): Proposal[] => {
		const events = as.events ?? [];
		if (as.kind !== 'month-calendar' || !cell || events.length === 0 || !cellRule(formById(form)))
			return [];
		const counts = new Map<number, number>();
		for (const { day } of events) counts.set(day, (counts.get(day) ?? 0) + 1);
		const [day, most] = [...counts].reduce((a, b) => (b[1] > a[1] ? b : a));
		const rows = 1 + most + 1;
		const name = as.title || 'Calendar';
		if (cell.h >= rows) return [];
		return [
			{
				id: `${as.id} cells`,
				wish: as.id,
				what: `${name}: cells ${rows} squares high instead of ${cell.h}`,
				why: `Day ${day} was the busiest, with ${most} events: the date 1 + ${most} + one line more = ${rows}.`,
				change: (wishes) => withCell(wishes, as.id, form, { w: cell.w, h: rows })
			}
		];
	});
}

/** A curve or bars that reach as far as the next aim, a fifth above the average. */
export function aimProposal(kept: Kept, next: number, mean: number): Proposal[] {
	const { form: id, tracker } = kept;
	const { wish, name } = tracker;
	const rules = formById(id)?.rules ?? [];
	const last = wish.rules?.[id]?.last;
	if (!rules.some((rule) => rule.name === 'last') || typeof last !== 'number' || last >= next)
		return [];
	return [
		{
			id: `${wish.id} scale`,
			wish: wish.id,
			what: `${name}: a scale to ${next.toLocaleString('en')} instead of ${last.toLocaleString('en')}`,
			why: `${Math.round(mean).toLocaleString('en')} on average; a fifth above it is ${next.toLocaleString('en')}, the next aim.`,
			change: (wishes) =>
				withChanged(wishes, wish.id, (old) => ({
					...old,
					rules: withRule(old.rules, id, 'last', next)
				}))
		}
	];
}
