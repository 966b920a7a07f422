import { Besides } from './besides';
import { freeOfCharge, keptPage, type Host } from '../problem/company';
import type { Fillers } from '../problem/fillers';
import { mostKept, type Groups } from '../pages/groups';
import type { Group } from '../pages/group';
import type { Problem } from '../problem/problem';
import type { Shapes } from '../problem/shapes';
import { Steps, wholePage, type Step } from '../pages/steps';

/** Added to the rows of a spread that keeps its pages for itself. */
const keptFlag = 512;

/** Rows that a spread takes at least, in steps, so that there are few of them to think of. */
function coarse(rows: number): number {
	return rows === 0 ? 0 : Math.max(1, rows - (rows % 4));
}

/**
 * A lower bound of what is still to come that forgets which page it is: a page of each kind may come next,
 * and what lies beside a spread only has to be small enough. It knows what is known of the prices of
 * groups when it is asked first; `renew` makes it ask again.
 */
export class Outlook {
	/** Least prices from each place in the order on, for each side. */
	private rests: Map<number, number>[] = [];
	private readonly steps = new Map<number, Steps>();
	/** Those whose prices are what is known of groups by now. */
	private readonly priced = new Set<Steps>();
	/** Sides that a page may have: one where left and right pages do not take turns. */
	private readonly sides: number;
	/** For each side, one page of each kind. */
	private readonly kinds: readonly (readonly number[])[];
	/** How many items before each place in the order are placed for certain on a page that they share. */
	private readonly sureBefore: readonly number[];
	/** What lies beside spreads. */
	private readonly besides: Besides;
	/** Kinds of spreads, and how high their right pages are at most. */
	private readonly pairs: readonly { readonly pair: number; readonly height: number }[];

	constructor(
		private readonly problem: Problem,
		private readonly order: readonly number[],
		private readonly groups: Groups,
		private readonly fillers: Fillers,
		private readonly shapes: Shapes
	) {
		const { pages } = problem;
		const turns = pages.every(({ side }, page) => side !== pages[page - 1]?.side);
		this.sides = turns ? 2 : 1;
		this.kinds = Array.from({ length: this.sides }, (_, side) => {
			const own = [...pages.keys()].filter((page) => this.side(page) === side);
			return [...new Map(own.map((page) => [groups.kind(page), page])).values()];
		});
		const heights = new Map<number, number>();
		for (const [page, { pair }] of pages.entries())
			if (pair !== undefined)
				heights.set(pair, Math.max(heights.get(pair) ?? 0, pages[page + 1]?.h ?? 0));
		this.pairs = [...heights].map(([pair, height]) => ({ pair, height }));
		this.besides = new Besides(problem, order, groups, fillers);
		const sureBefore = [0];
		for (const place of order.keys())
			sureBefore.push((sureBefore[place] ?? 0) + this.isSure(place));
		this.sureBefore = sureBefore;
	}

	/** What is still to come from a page and a place in the order on costs no less than this. */
	rest(page: number, next: number, fillers: number, top: number, host: Host): number {
		const kept = top > 0 && host === keptPage ? keptFlag : 0;
		return this.from(this.side(page), next, fillers, coarse(this.shapes.rowsOf(top)) + kept);
	}

	/** Groups with an open price on the way that looks best from the start. */
	openGroups(): Group[] {
		const groups: Group[] = [];
		let [side, next, fillers, top] = [this.side(0), 0, this.fillers.all, 0];
		for (;;) {
			if (this.from(side, next, fillers, top) < this.filled(side, next, fillers, top))
				side = this.after(side);
			const { step, skipped } = this.best(side, next, fillers, top);
			if (!step && !skipped) return groups;
			if (step) {
				if (step.group && !step.group.settled) groups.push(step.group);
				next = step.to;
				fillers -= step.taken;
				top = step.top;
				if (!step.whole) side = this.after(side);
			} else next++;
		}
	}

	/** Works prices out anew, because those of groups have become sharper; hands over now and then. */
	*renew(): Generator<number, void> {
		this.rests = [];
		this.priced.clear();
		for (let next = this.order.length; next >= 0; next--)
			for (let side = 0; side < this.sides; side++) {
				this.from(side, next, this.fillers.all, 0);
				yield 100;
			}
	}

	private side(page: number): number {
		return this.sides === 2 && this.problem.pages[page]?.side === 'right' ? 1 : 0;
	}

	private after(side: number): number {
		return this.sides - 1 - side;
	}

	private from(side: number, next: number, fillers: number, top: number): number {
		const filled = this.filled(side, next, fillers, top);
		if (this.sides === 1 || top > 0) return filled;
		// The page may be left blank for what the next one offers.
		return Math.min(
			filled,
			this.problem.pageCost + this.filled(this.after(side), next, fillers, 0)
		);
	}

	private filled(side: number, next: number, fillers: number, top: number): number {
		const known = (this.rests[next * 2 + side] ??= new Map<number, number>());
		const name = fillers * 1024 + top;
		let price = known.get(name);
		if (price === undefined) {
			price = this.best(side, next, fillers, top).price;
			known.set(name, price);
		}
		return price;
	}

	private best(side: number, next: number, fillers: number, top: number) {
		const item = this.order[next];
		const skipped = item !== undefined;
		let price = skipped
			? this.lossOf(item) + this.from(side, next + 1, fillers, top)
			: this.end(fillers, top);
		let best = -1;
		const steps = this.stepsFrom(side, next, top);
		const { least, to, over } = steps;
		for (const run of steps.runs) {
			const left = this.fillers.without(fillers, run.taken);
			if (left < 0) continue;
			for (let at = run.from; at < run.to; at++) {
				const known = least[at] ?? 0;
				if (known >= price) continue;
				const rows = over[at] ?? 0;
				const after = rows === wholePage ? side : this.after(side);
				const all = known + this.from(after, to[at] ?? 0, left, rows === wholePage ? 0 : rows);
				if (all >= price) continue;
				price = all;
				best = at;
			}
		}
		return { price, step: steps.step(best), skipped };
	}

	private end(fillers: number, top: number): number {
		let price = top > 0 ? this.problem.pageCost : 0;
		for (const [sort, { items }] of this.fillers.sorts.entries())
			price += this.fillers.count(fillers, sort) * this.lossOf(items[0] ?? 0);
		return price;
	}

	private lossOf(item: number): number {
		return this.problem.items[item]?.loss ?? 0;
	}

	private stepsFrom(side: number, next: number, top: number): Steps {
		const name = (next * 1024 + top) * 2 + side;
		let found = this.steps.get(name);
		if (!found) {
			const spreads = side === 0 ? this.spreads(next) : [];
			found = new Steps(top > 0 ? this.beside(next, top) : [...this.pages(side, next), ...spreads]);
			this.steps.set(name, found);
		}
		if (!this.priced.has(found)) {
			this.priced.add(found);
			found.price();
		}
		return found;
	}

	/** A page of any kind. */
	private *pages(side: number, next: number): Generator<Step> {
		for (const page of this.kinds[side] ?? [])
			for (const { next: to, taken, group, lost } of this.groups.on(
				page,
				0,
				this.groups.hostOn(page, 0),
				next,
				undefined
			)) {
				const price = lost + this.problem.pageCost;
				if (to > next || taken > 0) yield { to, taken, top: 0, whole: false, price, group };
			}
	}

	/** The left page of a spread, with others that are small enough for the rows that it leaves. */
	private spreads(next: number): Iterable<Step> {
		const found = new Map<string, Step>();
		const keep = (step: Step) => {
			const name = `${step.to} ${step.taken} ${step.top}`;
			if (step.price < (found.get(name)?.price ?? Infinity)) found.set(name, step);
		};
		for (const [place, item] of this.order.slice(next, next + mostKept).entries())
			for (const step of this.under(item, next, next + place, 0))
				if (step.to > next + place) keep(step);
		for (const [sort, { items }] of this.fillers.sorts.entries()) {
			const code = this.fillers.one(sort);
			for (const step of this.under(items[0] ?? 0, next, -1, code)) keep(step);
		}
		return found.values();
	}

	private *under(item: number, next: number, carried: number, code: number): Generator<Step> {
		const { pageCost, items, company = freeOfCharge } = this.problem;
		const { kept } = company;
		for (const { pair, height } of this.pairs)
			for (const option of items[item]?.spreads[pair] ?? []) {
				const { cost, covers } = option;
				const left = this.shapes.rowsOf(this.shapes.codeOf(option, 0));
				const rows = this.shapes.rowsOf(this.shapes.codeOf(option, 1));
				const whole = !covers && rows >= height;
				const base = cost + pageCost * (whole ? 2 : 1);
				const { keeps } = items[item] ?? {};
				const top = whole ? 0 : coarse(rows) + (keeps ? keptFlag : 0);
				for (const share of this.besides.within(next, this.besides.largest(left), carried)) {
					const taken = share.taken + code;
					if (this.fillers.without(this.fillers.all, taken) < 0) continue;
					const guests = keeps && this.sure(next, share.to, carried, share.taken) ? kept : 0;
					const price = base + guests + share.price;
					yield { to: share.to, taken, top, whole, price, group: undefined };
				}
			}
	}

	/** The right page of a spread, below it. */
	private *beside(next: number, top: number): Generator<Step> {
		const { pageCost, company = freeOfCharge } = this.problem;
		for (const share of this.besides.within(next, this.besides.largest(top % keptFlag), -1)) {
			const { to, taken } = share;
			const guests = top >= keptFlag && this.sure(next, to, -1, taken);
			const price = pageCost + share.price + (guests ? company.kept : 0);
			yield { to, taken, top: 0, whole: false, price, group: undefined };
		}
	}

	/** Whether any of some items, the one at `carried` aside, or fillers are placed for certain. */
	private sure(next: number, to: number, carried: number, taken: number): boolean {
		if (taken > 0) return true;
		const { sureBefore } = this;
		const own = carried >= next && carried < to ? this.isSure(carried) : 0;
		return (sureBefore[to] ?? 0) - (sureBefore[next] ?? 0) - own > 0;
	}

	private isSure(place: number): number {
		return this.groups.optional(this.order[place] ?? 0) ? 0 : 1;
	}
}
