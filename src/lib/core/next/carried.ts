import type { Subject } from '../draw';
import type { Plan, Run } from '../fit';
import { addMonths, daysIn } from '../month';
import { entriesOf, trackersOf, type Entry } from '../records';
import { withChanged, type Wish } from '../wish';
import type { Proposal } from './proposal';

/** Lines of lists that were written and not ticked, as tasks for the next month. */
export function carried(plan: Plan, run: Run, entries: readonly Entry[]): Proposal[] {
	return trackersOf(plan, run).flatMap(({ wish, name, fields }): Proposal[] => {
		if (wish.goals && wish.goals.length > 0) return goalsOf(plan, wish, name, entries);
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

/** Goals that were not ticked as reached, on the same days of the next month. */
function goalsOf({ month }: Plan, wish: Wish, name: string, entries: readonly Entry[]): Proposal[] {
	const reached = new Set(
		entriesOf(wish.id, entries).flatMap(({ about, holds, value }) =>
			holds === 'tick' && value === 'x' ? [about.item] : []
		)
	);
	const days = daysIn(addMonths(month, 1));
	const open = (wish.goals ?? [])
		.filter((goal) => !reached.has(goal.name))
		.map((goal) => ({
			...goal,
			from: Math.min(goal.from, days),
			to: Math.min(goal.to, days)
		}));
	if (open.length === 0) return [];
	return [
		{
			id: `${wish.id} goals`,
			wish: wish.id,
			what: `${name}: ${open.length === 1 ? 'one goal stands' : `${open.length} goals stand`} there again, on the same days`,
			why: `Not ticked as reached: ${open.map((goal) => goal.name).join(', ')}.`,
			change: (wishes) =>
				withChanged(wishes, wish.id, (old) => {
					const there = new Set(old.goals?.map((goal) => goal.name));
					return {
						...old,
						goals: [...(old.goals ?? []), ...open.filter((goal) => !there.has(goal.name))]
					};
				})
		}
	];
}

/** Kinds whose last number is the first one of the next month. */
const goingOn = ['weight', 'follower-counts'];

/** What is written into the next month before anything else: the last number of what goes on from there. */
export function beginnings(
	plan: Plan,
	run: Run,
	entries: readonly Entry[]
): { readonly name: string; readonly value: string }[] {
	return trackersOf(plan, run)
		.filter(({ wish }) => goingOn.includes(wish.kind))
		.flatMap(({ wish, name }) => {
			const place = ({ day = 0, week = 0, row = 0 }: Subject) => day || week || row;
			const last = entriesOf(wish.id, entries)
				.filter(({ holds }) => holds === 'number')
				.sort((a, b) => place(b.about) - place(a.about))[0];
			return last ? [{ name, value: last.value }] : [];
		});
}
