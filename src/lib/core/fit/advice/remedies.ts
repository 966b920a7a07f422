import { formById, titleStyle } from '../../forms';
import { withRule, type RulesByForm, type Wish } from '../../wish';
import { letters } from '../../hand';
import { importanceOf, kindOf } from '../choices/choices';
import { planRun } from '../planner';
import type { Plan, Run } from '../plan/plan';
import { PackingCache } from '../solve';
import { alternatives } from './what-if';

/** A field of a plan document that is to change; without a value it is taken away. */
export interface Change {
	readonly path: string;
	readonly value: unknown;
}

/** A change of the wishes that gives one of them a place; it was tried out. */
export interface Remedy {
	readonly text: string;
	/** All wishes as they would be, ready to be applied. */
	readonly wishes: readonly Wish[];
	readonly changes: readonly Change[];
	readonly pagesUsed: number;
}

type Candidate = Omit<Remedy, 'pagesUsed'>;

const mostRemedies = 4;
const usualTries = 40;
/** A try that is not settled by then counts as it stands. */
const workOfTry = { all: 0, search: 40_000 };

/**
 * The smallest changes that give a wish its place and cost no other its own: a title on one row, other cells, then
 * other forms, fewer pages a week, signs for names, sizes and pins of other wishes let go, and wishes
 * that matter less left out. Each is tried with a whole run before it is offered; between two tries
 * control goes back to the caller.
 */
export function* findRemedies(
	plan: Plan,
	run: Run,
	id: string,
	cache: PackingCache = new PackingCache(),
	mostTries = usualTries
): Generator<undefined, Remedy[]> {
	const index = plan.wishes.findIndex((wish) => wish.id === id);
	const wish = plan.wishes[index];
	const found: Remedy[] = [];
	if (!wish) return found;
	const lostOf = (tried: Run) => tried.unplaced.filter((lost) => lost.wish === id).length;
	let tries = 0;
	for (const candidate of candidates(plan, wish, index)) {
		if (found.length === mostRemedies || tries++ === mostTries) break;
		const tried = planRun({ ...plan, wishes: candidate.wishes }, cache, workOfTry);
		const others = (lost: Run) => lost.unplaced.length - lostOf(lost);
		if (lostOf(tried) === 0 && others(tried) <= others(run))
			found.push({ ...candidate, pagesUsed: tried.pagesUsed });
		yield;
	}
	return found;
}

/** The same in one go. */
export function remediesFor(
	plan: Plan,
	run: Run,
	id: string,
	cache?: PackingCache,
	mostTries?: number
): Remedy[] {
	const search = findRemedies(plan, run, id, cache, mostTries);
	let state = search.next();
	while (!state.done) state = search.next();
	return state.value;
}

function* candidates(plan: Plan, wish: Wish, index: number): Generator<Candidate> {
	const edit = (at: number, fields: Partial<Wish>, text: string): Candidate => ({
		text,
		wishes: plan.wishes.map((other, place) => (place === at ? { ...other, ...fields } : other)),
		changes: changesTo(plan.wishes[at] ?? wish, fields, at)
	});
	if (wish.pin) yield edit(index, { pin: undefined }, 'let it move from its page');
	if (wish.side || wish.facing)
		yield edit(index, { side: undefined, facing: undefined }, 'let it stand on either side');
	const form = formById(wish.form ?? kindOf(wish).forms[0] ?? '');
	if (wish.title && form && titleStyle.of({ rules: wish.rules?.[form.id] ?? {} }) === 'lettered')
		yield edit(
			index,
			{ rules: withRule(wish.rules, form.id, titleStyle.name, 'written') },
			'its title written on one row'
		);
	if (wish.weeks) yield* fewerWeeks(wish, (fields, text) => edit(index, fields, text));
	else yield* otherSizes(plan, wish, (fields, text) => edit(index, fields, text));
	const named = wish.items?.filter(({ symbol }) => symbol === undefined) ?? [];
	if (named.length > 0) {
		const items = wish.items?.map((item) => ({
			...item,
			symbol: item.symbol ?? letters(item.name)[0]
		}));
		yield edit(index, { items }, 'initials instead of names');
	}
	for (const [at, other] of plan.wishes.entries()) {
		if (at === index) continue;
		if (hasCells(other) || other.size || other.form)
			yield edit(
				at,
				{ rules: withoutCells(other), size: undefined, form: undefined },
				`let ${nameOf(other)} be smaller`
			);
		if (other.pin) yield edit(at, { pin: undefined }, `let ${nameOf(other)} move`);
	}
	const rank = { spare: 0, want: 1, must: 2 };
	const rankOf = (one: Wish) => rank[importanceOf(one)];
	const lesser = [...plan.wishes.entries()]
		.filter(([at, other]) => at !== index && rankOf(other) <= Math.min(1, rankOf(wish)))
		.sort(([a, left], [b, right]) => rankOf(left) - rankOf(right) || b - a);
	for (const [at, other] of lesser)
		yield {
			text: `leave out ${nameOf(other)}`,
			wishes: plan.wishes.filter((_, place) => place !== at),
			changes: [{ path: `wishes[${at}]`, value: null }]
		};
}

/** Whether a person has set a cell's size in one of its forms. */
function hasCells({ rules = {} }: Wish): boolean {
	return Object.values(rules).some((own) => own?.cell !== undefined);
}

function withoutCells({ rules = {} }: Wish): RulesByForm {
	return Object.fromEntries(
		Object.entries(rules).map(([form, own]) => [
			form,
			Object.fromEntries(Object.entries(own ?? {}).filter(([name]) => name !== 'cell'))
		])
	);
}

function nameOf(wish: Wish): string {
	return wish.title || kindOf(wish).name;
}

/** Other cells and forms of a wish, its own form first. */
function otherSizes(
	plan: Plan,
	wish: Wish,
	edit: (fields: Partial<Wish>, text: string) => Candidate
): Candidate[] {
	const own = wish.form ?? kindOf(wish).forms[0] ?? '';
	return alternatives(plan, wish)
		.sort((a, b) => Number(a.form !== own) - Number(b.form !== own))
		.map(({ change, cell, name, layout }) => {
			const words = cell ? ` with cells of ${cell.w} × ${cell.h}` : '';
			const where = layout.room.span === 'spread' ? ' over the fold' : '';
			return edit({ ...change, size: undefined }, `${name}${words}${where}`);
		});
}

/** Weekly pages that take less: fewer pages a week, fewer weeks, short weeks folded in or left out. */
function* fewerWeeks(
	{ weeks, form }: Wish,
	edit: (fields: Partial<Wish>, text: string) => Candidate
): Generator<Candidate> {
	if (!weeks) return;
	if (weeks.short === 'own') {
		yield edit({ weeks: { ...weeks, short: 'fold' } }, 'fold short weeks into their neighbours');
		yield edit({ weeks: { ...weeks, short: 'skip' } }, 'leave short weeks out');
	}
	if (weeks.belong !== 'middle-day')
		yield edit({ weeks: { ...weeks, belong: 'middle-day' } }, 'only weeks mostly in this month');
	for (const pagesPerWeek of [2, 1] as const)
		if (pagesPerWeek < weeks.pagesPerWeek) {
			const suits =
				form !== undefined && pagesPerWeek === 1 && formById(form)?.spans.includes('page');
			yield edit(
				{ weeks: { ...weeks, pagesPerWeek }, form: suits ? form : undefined },
				pagesPerWeek === 1 ? 'one page a week' : 'two pages a week'
			);
		}
	if (weeks.belong !== 'middle-day')
		yield edit(
			{ weeks: { ...weeks, belong: 'middle-day', pagesPerWeek: 1 }, form: undefined },
			'one page a week, and only weeks mostly in this month'
		);
}

function changesTo(wish: Wish, fields: Partial<Wish>, index: number): Change[] {
	const before = new Map<string, unknown>(Object.entries(wish));
	return Object.entries(fields)
		.filter(([name, value]) => value !== before.get(name))
		.map(([name, value]) => ({ path: `wishes[${index}].${name}`, value: value ?? null }));
}
