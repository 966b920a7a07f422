import { formById, titleStyle } from '../../forms';
import {
	hostOf,
	outOfHost,
	wishById,
	withChanged,
	without,
	withRule,
	type RulesByForm,
	type Wish
} from '../../wish';
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
 * The smallest changes that give a wish or a member its place and cost no other its own: a title on one row, a place of its own for
 * a member, other cells, then other forms, fewer pages a week, signs for names, sizes and pins of other wishes let go, and what
 * matters less left out. Each is tried with a whole run before it is offered; between two tries control goes back to the caller.
 */
export function* findRemedies(
	plan: Plan,
	run: Run,
	id: string,
	cache: PackingCache = new PackingCache(),
	mostTries = usualTries
): Generator<undefined, Remedy[]> {
	const wish = wishById(plan.wishes, id);
	const found: Remedy[] = [];
	if (!wish) return found;
	const lostOf = (tried: Run) => tried.unplaced.filter((lost) => lost.wish === id).length;
	let tries = 0;
	for (const candidate of candidates(plan, wish, hostOf(plan.wishes, id))) {
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

function* candidates(plan: Plan, wish: Wish, host: Wish | undefined): Generator<Candidate> {
	const { wishes } = plan;
	const edit = (other: Wish, fields: Partial<Wish>, text: string): Candidate => ({
		text,
		wishes: withChanged(wishes, other.id, (old) => ({ ...old, ...fields })),
		changes: changesTo(other, fields, pathOf(wishes, other.id))
	});
	const leftOut = (other: Wish): Candidate => ({
		text: `leave out ${nameOf(other)}`,
		wishes: without(wishes, other.id),
		changes: [{ path: pathOf(wishes, other.id), value: null }]
	});
	if (wish.pin) yield edit(wish, { pin: undefined }, 'let it move from its page');
	if (wish.side || wish.facing)
		yield edit(wish, { side: undefined, facing: undefined }, 'let it stand on either side');
	if (host && (wish.spot || wish.room))
		yield edit(wish, { room: undefined, spot: undefined }, `wherever it fits with ${nameOf(host)}`);
	const form = formById(wish.form ?? kindOf(wish).forms[0] ?? '');
	if (wish.title && form && titleStyle.of({ rules: wish.rules?.[form.id] ?? {} }) === 'lettered')
		yield edit(
			wish,
			{ rules: withRule(wish.rules, form.id, titleStyle.name, 'written') },
			'its title written on one row'
		);
	if (host) {
		const out = outOfHost(wishes, wish.id);
		yield { text: 'a place of its own', wishes: out, changes: [{ path: 'wishes', value: out }] };
	}
	if (wish.weeks) yield* fewerWeeks(wish, (fields, text) => edit(wish, fields, text));
	else yield* otherSizes(plan, wish, host, (fields, text) => edit(wish, fields, text));
	const named = wish.items?.filter(({ symbol }) => symbol === undefined) ?? [];
	if (named.length > 0) {
		const items = wish.items?.map((item) => ({
			...item,
			symbol: item.symbol ?? letters(item.name)[0]
		}));
		yield edit(wish, { items }, 'initials instead of names');
	}
	for (const other of wishes) {
		if (other === wish) continue;
		if (hasCells(other) || other.size || other.form)
			yield edit(
				other,
				{ rules: withoutCells(other), size: undefined, form: undefined },
				`let ${nameOf(other)} be smaller`
			);
		if (other.pin) yield edit(other, { pin: undefined }, `let ${nameOf(other)} move`);
	}
	for (const other of leastFirst(wish.members ?? [])) yield leftOut(other);
	const beside = host ? (host.members ?? []) : wishes;
	for (const other of leastFirst(beside))
		if (other !== wish && rankOf(other) <= Math.min(1, rankOf(wish))) yield leftOut(other);
}

const rank = { spare: 0, want: 1, must: 2 };
const rankOf = (wish: Wish) => rank[importanceOf(wish)];

/** What matters least before what matters more, and of equals the last one first. */
function leastFirst(wishes: readonly Wish[]): Wish[] {
	return [...wishes.entries()]
		.sort(([a, left], [b, right]) => rankOf(left) - rankOf(right) || b - a)
		.map(([, wish]) => wish);
}

/** Where a wish or a member stands in a plan document, such as “wishes[2].members[0]”. */
function pathOf(wishes: readonly Wish[], id: string): string {
	const host = hostOf(wishes, id);
	const siblings = host ? (host.members ?? []) : wishes;
	const list = host ? `${pathOf(wishes, host.id)}.members` : 'wishes';
	return `${list}[${siblings.findIndex((wish) => wish.id === id)}]`;
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

/** Other cells and forms of a wish, its own form first; a member lies on one page, with its host. */
function otherSizes(
	plan: Plan,
	wish: Wish,
	host: Wish | undefined,
	edit: (fields: Partial<Wish>, text: string) => Candidate
): Candidate[] {
	const own = wish.form ?? kindOf(wish).forms[0] ?? '';
	return alternatives(plan, wish)
		.filter(({ layout }) => !host || layout.room.span === 'page')
		.sort((a, b) => Number(a.form !== own) - Number(b.form !== own))
		.map(({ change: { span, ...change }, cell, name, layout }) => {
			const words = cell ? ` with cells of ${cell.w} × ${cell.h}` : '';
			const where = layout.room.span === 'spread' ? ' over the fold' : '';
			const fields = { ...change, ...(host ? {} : { span }), size: undefined };
			return edit(fields, `${name}${words}${where}`);
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

function changesTo(wish: Wish, fields: Partial<Wish>, path: string): Change[] {
	const before = new Map<string, unknown>(Object.entries(wish));
	return Object.entries(fields)
		.filter(([name, value]) => value !== before.get(name))
		.map(([name, value]) => ({ path: `${path}.${name}`, value: value ?? null }));
}
