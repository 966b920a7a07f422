import type { Wish } from '../forms';
import type { Plan, Run } from './plan';
import { planRun } from './planner';
import { alternatives } from './what-if';

/** One field of a plan document that is to be changed, and to what. */
export interface Change {
	readonly path: string;
	readonly value: unknown;
}

/** A change that gives a wish a place; it was tried out. */
export interface Remedy {
	readonly text: string;
	readonly wish: string;
	/** Fields of the wish, ready to be applied. */
	readonly fields: Partial<Wish>;
	readonly changes: readonly Change[];
	readonly pagesUsed: number;
}

const mostRemedies = 3;

/**
 * The smallest changes to a wish without a place that give it one and cost no other wish its own: other
 * cells first, then other forms, the most comfortable first. Each was tried with a whole run.
 */
export function remediesFor(plan: Plan, run: Run, id: string): Remedy[] {
	const index = plan.wishes.findIndex((wish) => wish.id === id);
	const wish = plan.wishes[index];
	if (!wish) return [];
	const lost = run.unplaced.length;
	const found: Remedy[] = [];
	const own = wish.form ?? '';
	const candidates = alternatives(plan, wish).sort(
		(a, b) => Number(a.form !== own) - Number(b.form !== own)
	);
	for (const { change, name, layout } of candidates) {
		const fields: Partial<Wish> = { ...change, size: undefined };
		const wishes = plan.wishes.map((other) => (other.id === id ? { ...other, ...fields } : other));
		const tried = planRun({ ...plan, wishes });
		const placed = tried.blocks.some((block) => block.wish === id);
		if (!placed || tried.unplaced.length >= lost) continue;
		const cell = change.cell ? ` with cells of ${change.cell.w} × ${change.cell.h}` : '';
		const where = layout.room.span === 'spread' ? ' over the fold' : '';
		found.push({
			text: `${name}${cell}${where}`,
			wish: id,
			fields,
			changes: changesTo(wish, fields, index),
			pagesUsed: tried.pagesUsed
		});
		if (found.length === mostRemedies) break;
	}
	return found;
}

function changesTo(wish: Wish, fields: Partial<Wish>, index: number): Change[] {
	const before = new Map<string, unknown>(Object.entries(wish));
	return Object.entries(fields)
		.filter(([name, value]) => value !== before.get(name))
		.map(([name, value]) => ({ path: `wishes[${index}].${name}`, value: value ?? null }));
}
