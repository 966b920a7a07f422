import { layoutsOf } from './layouts-of';
import { kindById, type Kind } from '../../catalogue';
import {
	fitTitle,
	formById,
	misfitOf,
	pageSize,
	titleStyle,
	twoLines,
	type Form,
	type Layout,
	type Misfit,
	type Room,
	type Rules,
	type Setting,
	type Span
} from '../../forms';
import { monthShape } from '../../month';
import type { Rect } from '../../paper';
import { allWishes, withRule, type Importance, type Wish } from '../../wish';
import { worstForm } from '../plan/aims';
import type { Plan } from '../plan/plan';

/** What a form other than the kind's own costs in comfort: more than two pages saved are worth. */
const otherForm = 85;

/** A title written on a single row breaks the month's one hand: more than a page saved is worth, less than a wish. */
const writtenTitle = 45;

/** A layout with the form that it belongs to. */
export interface Choice extends Layout {
	readonly form: Form;
	/** The wish as it is ruled: with what it left open settled. */
	readonly as: Wish;
	/** What lives in its rooms; missing where the wish has no members. */
	readonly inside?: Inside;
}

/** A member in a room of its host. */
export interface Guest {
	readonly choice: Choice;
	readonly room: string;
	/** On which of the host's pages, counted from the host's first dot there. */
	readonly on: 0 | 1;
	readonly rect: Rect;
	/** Of one that lies over both pages: what it takes of the right one. */
	readonly across?: Rect;
}

/** What a member takes of one of its host's pages. */
export function rectsOf({ on, rect, across }: Guest, page: 0 | 1): readonly Rect[] {
	if (page === on) return [rect];
	return across ? [across] : [];
}

/** Members as they stand in their host's rooms, and those that find no place there. */
export interface Inside {
	readonly guests: readonly Guest[];
	readonly left: readonly Wish[];
	readonly discomfort: number;
}

/** Members that a choice leaves out, those of its members included. */
export function leftBy({ inside }: Choice): Wish[] {
	return inside ? [...inside.left, ...inside.guests.flatMap(({ choice }) => leftBy(choice))] : [];
}

/** The setting in which a plan's wish is ruled with a form. */
export function settingOf(plan: Plan, wish: Wish, form: Form): Setting {
	return {
		month: monthShape(plan.month, plan.weekStart),
		hand: plan.hand,
		locale: plan.locale,
		content: wish,
		rules: rulesOf(wish, form),
		...(wish.part ? { part: wish.part } : {}),
		...expectedOf(plan, wish)
	};
}

/** Lines that a month is likely to need of a kind: one a day, or one for each thing that has a title. */
export function expectedOf(plan: Plan, wish: Wish): Pick<Setting, 'expected'> {
	switch (kindOf(wish).expects) {
		case 'a line a day':
			return {
				expected: { lines: monthShape(plan.month, plan.weekStart).days, why: 'are one a day' }
			};
		case 'a line a title': {
			const titled = allWishes(plan.wishes).filter(
				({ id, title }) => id !== wish.id && title
			).length;
			return { expected: { lines: titled, why: 'things of this month have a title' } };
		}
		case undefined:
			return {};
	}
}

/** What people write themselves besides words for a title or a page; a form that has no place for it would drop it. */
const written = ['items', 'columns', 'parts', 'goals', 'events', 'levels'] as const;

/**
 * Forms a wish may take: the one it names, or those of its kind that have rooms for its members and a place for all that
 * the person wrote otherwise than the kind starts with, the liked one first.
 */
export function formsOf(wish: Wish): readonly Form[] {
	const known = formsKnown.get(wish);
	if (known) return known;
	const found = ableForms(wish);
	formsKnown.set(wish, found);
	return found;
}

/** They are asked for over and over, and wishes never change. */
const formsKnown = new WeakMap<Wish, readonly Form[]>();

function ableForms(wish: Wish): readonly Form[] {
	const kind = kindOf(wish);
	const ids = wish.form ? [wish.form] : kind.forms;
	const forms = ids.flatMap((id) => formById(id) ?? []);
	const own = written.filter(
		(name) => (wish[name]?.length ?? 0) > 0 && !same(wish[name], kind.start[name])
	);
	const able = forms.filter(
		({ content, rooms }) =>
			own.every((name) => content.includes(name)) && (rooms !== undefined || !wish.members?.length)
	);
	return able.length > 0 ? able : forms;
}

function same(a: unknown, b: unknown): boolean {
	return JSON.stringify(a) === JSON.stringify(b);
}

/** The wish's kind; plans are checked at the edge, so an unknown one is a fault of the program. */
export function kindOf(wish: Wish): Kind {
	const kind = kindById(wish.kind);
	if (!kind) throw new RangeError(`unknown kind ${wish.kind}`);
	return kind;
}

/** Spans a wish may take with a form. */
export function spansOf(wish: Wish, form: Form): readonly Span[] {
	return form.spans.filter((span) => wish.span === undefined || span === wish.span);
}

/** Whether any form of a wish may lie over both pages of a spread. */
export function mayLieOver(wish: Wish): boolean {
	return formsOf(wish).some(({ spans }) => spans.includes('spread'));
}

/** Whether a wish moves freely and stretches: as it says, or as its kind does under this aim. What stands alone fills nothing. */
export function isFiller({ aim }: Pick<Plan, 'aim'>, wish: Wish): boolean {
	if (isAlone(wish)) return false;
	const { filler = false, freeWriting = false } = kindOf(wish);
	return wish.filler ?? (filler && (!freeWriting || aim === 'fewest-pages'));
}

/** Whether nothing else may stand on a wish's pages. */
export function isAlone({ alone, pin }: Wish): boolean {
	return alone ?? pin?.alone ?? false;
}

/** Whether a wish can stand on the page facing another: not one of whose weeks there are several, nor one that takes both. */
export function mayFace({ span, weeks }: Wish): boolean {
	return span !== 'spread' && weeks === undefined;
}

/** How badly a wish is missed: as it says, or as its kind is. */
export function importanceOf(wish: Wish): Importance {
	return wish.importance ?? kindOf(wish).importance;
}

/**
 * All choices of a wish in a room, its members left aside, the most comfortable first. A title that is left open is written on a single row
 * where no drawn one fits or none is as comfortable; with `thorough` wherever it can be.
 */
export function ruledIn(plan: Plan, wish: Wish, room: Room, thorough = false): Choice[] {
	const choices = formsIn(wish, room).flatMap(({ form, other }) => {
		const found: Choice[] = [];
		for (const { as, cost, fallback } of settled(plan, wish, form, pageSize(room).w)) {
			const best = Math.min(Infinity, ...found.map(({ discomfort }) => discomfort));
			for (const layout of layoutsOf(form, settingOf(plan, as, form), room)) {
				if (layout.generous) continue;
				const discomfort = Math.min(worstForm, layout.discomfort + cost + other);
				if (fallback && !thorough && discomfort >= best) continue;
				found.push({ ...layout, form, as, discomfort });
			}
		}
		return found;
	});
	return choices.sort((a, b) => a.discomfort - b.discomfort);
}

/** Why a wish that has no choice in a room does not fit there, by the form that lacks least. */
export function misfitIn(plan: Plan, wish: Wish, room: Room): Misfit | undefined {
	const misfits = formsIn(wish, room).flatMap(({ form }) =>
		settled(plan, wish, form, pageSize(room).w).map(({ as }) =>
			misfitOf(form, settingOf(plan, as, form), room)
		)
	);
	const size = ({ lacking: { w, h } }: Misfit) => (w + h === 0 ? Infinity : w + h);
	return misfits.sort((a, b) => size(a) - size(b))[0];
}

/** Forms of a wish that may take a room of this span, and what each costs in comfort for not being the kind's own. */
function formsIn(wish: Wish, room: Room): { readonly form: Form; readonly other: number }[] {
	return formsOf(wish).flatMap((form, index) =>
		spansOf(wish, form).includes(room.span) ? [{ form, other: index > 0 ? otherForm : 0 }] : []
	);
}

/** A way to settle what a wish leaves open of its title, and what it costs in comfort. */
interface Settled {
	readonly as: Wish;
	readonly cost: number;
	/** It is tried only where it is more comfortable than the ways before it. */
	readonly fallback?: boolean;
}

/** Ways to settle a wish's title in a width: all titles of the month are of one hand, but for those that ask otherwise. */
function settled(plan: Plan, wish: Wish, form: Form, width: number): readonly Settled[] {
	// A week's head has words of its own.
	const title = wish.title ?? (wish.part && 'Week 52');
	if (!title || !form.rules.includes(titleStyle)) return [{ as: wish, cost: 0 }];
	const said = titleStyle.of({ rules: rulesOf(wish, form) });
	if (said !== undefined) return [{ as: wish, cost: 0 }];
	const styled = (style: string): Wish => ({
		...wish,
		rules: withRule(wish.rules, form.id, titleStyle.name, style)
	});
	switch (plan.titles) {
		case 'none':
		case 'written':
			return [{ as: styled(plan.titles), cost: 0 }];
		case 'side':
			return [
				{ as: styled('side'), cost: 0 },
				{ as: styled('written'), cost: writtenTitle, fallback: true }
			];
		default: {
			const fits = (lines: readonly string[]) => fitTitle(plan.hand, lines, width) !== undefined;
			const lines = twoLines(title);
			const onTwo = !fits([title]) && lines !== undefined && fits(lines);
			return [
				{ as: onTwo ? styled('two-lines') : wish, cost: 0 },
				{ as: styled('written'), cost: writtenTitle, fallback: true }
			];
		}
	}
}

/** What a wish says of one form. */
function rulesOf({ rules }: Wish, form: Form): Rules {
	return rules?.[form.id] ?? {};
}
