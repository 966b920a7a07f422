import { formById, type Form, type Layout, type Misfit, type Room, type Span } from '../../forms';
import { withRule, type RulesByForm, type Wish } from '../../wish';
import { plannablePages, type Size } from '../../paper';
import { kindOf, misfitIn, type Choice } from '../choices/choices';
import { withGuests } from '../members/footprint';
import { choicesIn } from '../members/hosting';
import { fourPages } from '../choices/parts';
import type { Plan } from '../plan/plan';

/** A wish as it would be ruled with nothing beside it, on the largest free page or on two of them; or why it cannot. */
export function ruledAlone(plan: Plan, wish: Wish): Choice | Misfit | undefined {
	const form = formById(wish.form ?? kindOf(wish).forms[0] ?? '');
	if (!form) return undefined;
	const span = wish.span && form.spans.includes(wish.span) ? wish.span : (form.spans[0] ?? 'page');
	const [own, room] = [{ ...wish, form: form.id, span }, emptyRoom(plan, span)];
	const [choice] = choicesIn(plan, own, room);
	return choice ? withGuests(choice) : misfitIn(plan, own, room);
}

/** Room of a whole free page, or of two that face each other. */
function emptyRoom(plan: Plan, span: Span): Room {
	const page = largestPage(plan);
	return span === 'page'
		? { span, ...page }
		: { span, left: page, right: page, gutter: plan.notebook.gutter };
}

/** Another way to rule a wish, as a change that can be applied, with its drawing. */
export interface Alternative {
	readonly form: string;
	readonly name: string;
	readonly change: Partial<Wish>;
	/** The cell that is asked for with it. */
	readonly cell?: Size;
	readonly layout: Layout;
}

const mostPerForm = 3;

/** The largest free page, which what-ifs are drawn on. */
export function largestPage(plan: Plan): Size {
	const pages = plannablePages(plan.notebook);
	const first = { w: plan.notebook.columns, h: plan.notebook.rows };
	return pages.reduce(
		(best, { columns, rows }) =>
			columns * rows > best.w * best.h ? { w: columns, h: rows } : best,
		pages.length > 0 ? { w: 0, h: 0 } : first
	);
}

/**
 * The ways in which a wish could be ruled on a page or a spread of the notebook: its kind's forms with
 * a few cell sizes each, the most comfortable of each form first.
 */
export function alternatives(plan: Plan, wish: Wish): Alternative[] {
	return kindOf(wish).forms.flatMap((id): Alternative[] => {
		const form = formById(id);
		if (!form) return [];
		const found: Alternative[] = [];
		for (const span of form.spans)
			for (const variant of variants(wish, form)) {
				const [choice] = choicesIn(
					plan,
					{ ...wish, rules: variant.rules, form: id, span },
					emptyRoom(plan, span)
				);
				if (!choice) continue;
				const layout = withGuests(choice);
				const same = found.some(
					(other) => JSON.stringify(other.layout.room) === JSON.stringify(layout.room)
				);
				if (same) continue;
				found.push({
					form: id,
					name: form.name,
					change: {
						form: id,
						span,
						rules: variant.rules,
						...(wish.weeks ? { weeks: { ...wish.weeks, pagesPerWeek: pagesFor(id, span) } } : {})
					},
					cell: variant.sized ? layout.facts.cell : undefined,
					layout
				});
			}
		return found.sort((a, b) => a.layout.discomfort - b.layout.discomfort).slice(0, mostPerForm);
	});
}

/** Pages that a week takes with a form. */
function pagesFor(form: string, span: Span): 1 | 2 | 4 {
	if (span === 'spread') return 2;
	return form === fourPages ? 4 : 1;
}

/** A wish's rules with a few cell sizes: the form's choice, its own, and fixed ones. */
function variants(wish: Wish, form: Form): { rules: RulesByForm; sized: boolean }[] {
	const rule = form.rules.find(({ name }) => name === 'cell');
	const own = { rules: wish.rules ?? {}, sized: false };
	if (!rule) return [own];
	const free = { rules: withRule(wish.rules, form.id, 'cell', undefined), sized: false };
	const fixed = [1, 2, 3, 4, 5, 6].map((side) => {
		const value = rule.kind === 'size' ? { w: side, h: side } : side;
		return { rules: withRule(wish.rules, form.id, 'cell', value), sized: true };
	});
	return [free, { ...own, sized: wish.rules?.[form.id]?.cell !== undefined }, ...fixed];
}
