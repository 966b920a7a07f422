import { createContext } from 'svelte';
import { begin as begun, idGiver, kindById } from '$lib/core/catalogue';
import type { Cut } from '$lib/core/cuts';
import type { Evenings, MakingPlan, Workshop } from '$lib/core/making';
import {
	drawPage,
	holdAt,
	laysOf,
	lockPages,
	pinOf,
	planOf,
	putAmong,
	summaryOf,
	swapSides,
	undrawPage,
	unlockPages,
	withEarlier,
	type Block,
	type KeptMonth,
	type Remedy,
	type Person,
	type Plan,
	type Run,
	type Summary
} from '$lib/core/fit';
import {
	allWishes,
	arranged,
	intoHost,
	outOfHost,
	sameContent,
	withChanged,
	withSiblings,
	without,
	type Wish
} from '$lib/core/wish';
import { freeAfter, plannablePages, type Notebook } from '$lib/core/paper';
import type { Suggestion } from '$lib/worker/planner.worker';
import { putChange } from '../send';
import { Saver } from '../keeping/saver.svelte';
import type { Theme } from '$lib/core/theme';
import { begin, redo, step, undo, type History } from './history';
import { forget, recall, remember } from './kept-history';
import { withoutAct } from './without-act';
import { onlyThis, othersMoved, type HandMove } from './moved';
import { Planner } from './planner';

/** What the desk works on, as the server gives it. */
export interface DeskInput {
	readonly id: string;
	readonly revision: number;
	readonly notebookId: string;
	readonly notebook: Notebook;
	readonly month: KeptMonth;
	readonly person: Person;
	/** Cuts of the months before this one in the book. */
	readonly earlierCuts: readonly Cut[];
	/** First days of the weeks that they show whole. */
	readonly earlierWeeks: readonly string[];
	/** The run of this very month, computed by the server for the first picture. */
	readonly run: Run;
	/** Why there is no run yet: it takes longer than the server may take. */
	readonly trouble?: string;
	/** The colours of the month before it in the book that has some. */
	readonly themeBefore?: Theme;
	/** The month after this one in the book, and the page on which it begins now. */
	readonly next?: { readonly month: string; readonly first: number };
}

const rememberMs = 300;
/** A hand that has changed nothing for so long rests: what is only to be compared with is worked out then. */
const restMs = 1500;
/** Steps of which one may have been on its way when the page was left. */
const mostOnTheWay = 20;
/** After such a pause typing begins a step of its own. */
const pauseMs = 2000;

/** A month as one works on it: its wishes with undo, its run as soon as it is planned, its keeping. */
export class MonthDesk {
	private history: History<KeptMonth>;
	/** The plan that the run belongs to; while a newer one is being planned both lag behind together. */
	plan: Plan;
	run: Run;
	/** The wish that is being edited, shown in the run as well. */
	chosen = $state<string>();
	planning = $state(false);
	/** Whether the suggestions are being worked out anew. */
	suggesting = $state(false);
	/** Whether the planner can be asked; on the server it cannot. */
	opened = $state(false);
	/** The three aims in a few numbers each, for the plan that is shown; empty while they are worked out. */
	suggestions = $state.raw<readonly Suggestion[]>([]);
	trouble = $state<string>();
	/** What else moved since a hand moved something. */
	moved = $state.raw<{ readonly move: HandMove; readonly others: readonly Block[] }>();
	private moving: HandMove | undefined;
	private planner: Planner | undefined;
	readonly saver: Saver<KeptMonth>;
	private channel: BroadcastChannel | undefined;
	private remembering: ReturnType<typeof setTimeout> | undefined;
	private resting: ReturnType<typeof setTimeout> | undefined;
	private recalled = false;
	private changedAt = 0;

	constructor(private input: DeskInput) {
		this.history = $state.raw(begin(input.month));
		this.plan = $state.raw(this.planFor(input.month));
		this.run = $state.raw(input.run);
		this.saver = new Saver<KeptMonth>(
			input.revision,
			(revision, content) =>
				putChange(`/app/months/${this.id}`, revision, content, (sent) => ({
					notebookId: this.notebookId,
					...sent
				})),
			(revision) => {
				this.channel?.postMessage(revision);
				this.rememberSoon();
			}
		);
	}

	get id() {
		return this.input.id;
	}

	get notebookId() {
		return this.input.notebookId;
	}

	get month(): KeptMonth {
		return this.history.present;
	}

	get wishes(): readonly Wish[] {
		return this.history.present.wishes;
	}

	get canUndo() {
		return this.history.past.length > 0;
	}

	get canRedo() {
		return this.history.future.length > 0;
	}

	/**
	 * Starts planning and listens to other windows; returns what ends both. `reload` fetches the month
	 * as others have written it.
	 */
	open(reload: () => Promise<unknown>): () => void {
		this.planner = new Planner(
			(plan, run, final) => {
				// What is still being looked for a place is not lost: the last run stays until a better one is known.
				if (!final && run.unplaced.length > this.run.unplaced.length) return;
				this.plan = plan;
				this.run = run;
				this.planning = !final;
				if (final) this.settled(plan);
			},
			(message) => {
				this.trouble = message;
				this.planning = false;
			}
		);
		this.channel = new BroadcastChannel(`horarium month ${this.id}`);
		this.channel.onmessage = () => {
			// With changes of our own the next write tells that there is a conflict.
			if (this.saver.settled) void reload();
		};
		const leave = () => this.rememberNow();
		window.addEventListener('pagehide', leave);
		const touched = new AbortController();
		const touch = () => {
			touched.abort();
			void this.planner?.warm(this.plan);
		};
		for (const event of ['pointerdown', 'keydown'])
			window.addEventListener(event, touch, { signal: touched.signal });
		const shown = this.month;
		this.recallOnce();
		if (this.month !== shown || this.input.trouble) this.ask();
		else this.suggest(this.plan);
		this.opened = true;
		return () => {
			this.opened = false;
			this.rememberNow();
			window.removeEventListener('pagehide', leave);
			touched.abort();
			clearTimeout(this.resting);
			this.planner?.close();
			this.planner = undefined;
			this.channel?.close();
			this.channel = undefined;
		};
	}

	/** Takes over the month as the server has it, unless something here is not kept yet; undo brings back what was shown. */
	adopt(input: DeskInput): void {
		const stale = input.revision < this.saver.baseRevision;
		if (stale || this.saver.unsaved !== undefined) return;
		const same = sameContent(input.month, this.month);
		// A run that was asked for before is of a month that is no longer shown.
		this.planner?.forget();
		this.planning = false;
		this.input = input;
		this.saver.adopt(input.revision);
		if (!same) this.history = step(this.history, input.month);
		this.plan = this.planFor(input.month);
		this.run = input.run;
		if (input.trouble) this.ask();
	}

	/** Forgets the month's steps in this window. */
	forget(): void {
		clearTimeout(this.remembering);
		forget(this.id);
	}

	/** Takes up the steps that this window made before it was reloaded, and what of them was not kept. */
	private recallOnce(): void {
		if (this.recalled) return;
		this.recalled = true;
		const found = recall(this.id);
		if (!found) return;
		if (sameContent(found.history.present, this.month))
			this.history = { ...found.history, present: this.month, last: undefined };
		else if (found.saved) this.history = step(found.history, this.month);
		else {
			this.history = { ...found.history, last: undefined };
			const { past, present } = found.history;
			this.saver.recover(found.revision, present, past.slice(-mostOnTheWay));
		}
	}

	private rememberSoon(): void {
		clearTimeout(this.remembering);
		this.remembering = setTimeout(() => this.rememberNow(), rememberMs);
	}

	private rememberNow(): void {
		clearTimeout(this.remembering);
		const { baseRevision: revision, settled: saved } = this.saver;
		remember(this.id, { revision, saved, history: this.history });
	}

	/** Changes the month, plans it anew and keeps it; equal names in a row without a pause are undone together. */
	change(content: Partial<KeptMonth>, name?: string): void {
		const now = Date.now();
		if (now - this.changedAt > pauseMs) this.endStep();
		this.changedAt = now;
		this.present(step(this.history, { ...this.month, ...content }, name));
	}

	/** The same, where a hand moved a wish's block: what else moves because of it is told. */
	moveByHand(wish: string, wishes: readonly Wish[], name?: string): void {
		const { plan, run } = this;
		this.change({ wishes, lately: laysOf(plan, run) }, name);
		this.moving = { wish, plan, run };
	}

	/** Holds everything else where it lay before a hand moved something. */
	moveOnlyThis(): void {
		if (this.moved) this.change({ wishes: onlyThis(this.moved.move, this.wishes) });
	}

	/** Takes the month back to what it was; what is drawn in the book stays drawn. */
	bringBack(past: KeptMonth): void {
		const { month, weekStart, aim, titles, theme, wishes, cuts } = past;
		this.change({ month, weekStart, aim, titles, theme, wishes, cuts, lately: undefined });
	}

	/** Ends what is undone together: a field was left. */
	endStep(): void {
		if (this.history.last !== undefined) this.history = { ...this.history, last: undefined };
	}

	undo(): void {
		if (this.canUndo) this.present(undo(this.history));
	}

	/** A way to take back what was done last, that one act and nothing else, whatever comes after it. */
	wayBack(): () => void {
		const before = this.history.past.at(-1);
		const after = this.month;
		return () => {
			if (!before) return;
			if (sameContent(this.month, after)) this.undo();
			else this.change(withoutAct(before, after, this.month));
		};
	}

	redo(): void {
		if (this.canRedo) this.present(redo(this.history));
	}

	/** Adds a wish of a kind at the end of the list. */
	add(kindId: string): void {
		const kind = kindById(kindId);
		if (kind) this.put(begun(kind, this.freeIds()));
	}

	/** Adds a copy of a wish at the end of the list, under an id that is free. */
	addWish(like: Wish): void {
		this.put(renamed(like, this.freeIds()));
	}

	private put(wish: Wish): void {
		this.change({ wishes: [...this.wishes, wish] });
		this.chosen = wish.id;
	}

	/** Adds a wish of a kind to what lives in another's rooms. */
	addMember(host: string, kindId: string): void {
		const kind = kindById(kindId);
		if (!kind) return;
		const wish = begun(kind, this.freeIds());
		this.change({ wishes: intoHost([...this.wishes, wish], wish.id, host) });
		this.chosen = wish.id;
	}

	/** Puts the month's wishes, or the members of one, in an order; what stood elsewhere comes in. */
	arrange(host: string | undefined, ids: readonly string[]): void {
		const wishes = arranged(this.wishes, host, ids);
		if (wishes !== this.wishes) this.change({ wishes });
	}

	/** Moves a wish into another's rooms. */
	into(id: string, host: string, place: Pick<Wish, 'room' | 'spot'> = {}): void {
		this.change({ wishes: intoHost(this.wishes, id, host, place) });
	}

	/** Takes a member out of its host, onto pages of its own. */
	takeOut(id: string): void {
		this.change({ wishes: outOfHost(this.wishes, id) });
	}

	/** Puts a copy of a wish behind it, under an id that is free; what is pinned stays with the first. */
	duplicate(id: string): void {
		let copied: string | undefined;
		const wishes = withSiblings(this.wishes, id, (siblings, at) => {
			const like = siblings[at];
			if (!like) return siblings;
			const copy = renamed(like, this.freeIds());
			copied = copy.id;
			const free: Wish = { ...copy, pin: undefined, facing: undefined, spot: undefined };
			return siblings.toSpliced(at + 1, 0, free);
		});
		this.change({ wishes });
		this.chosen = copied;
	}

	remove(id: string): void {
		this.change({ wishes: without(this.wishes, id) });
		if (this.chosen === id) this.chosen = undefined;
	}

	/** Changes some of a wish's fields. */
	edit(id: string, fields: Partial<Wish>): void {
		const name = `${id} ${Object.keys(fields).join()}`;
		this.change({ wishes: withChanged(this.wishes, id, (wish) => ({ ...wish, ...fields })) }, name);
	}

	/** Moves a wish by some places in the list, a member among those that share its host. */
	move(id: string, by: number): void {
		const wishes = withSiblings(this.wishes, id, (siblings, from) => {
			const to = Math.min(siblings.length - 1, Math.max(0, from + by));
			const wish = siblings[from];
			return wish && from !== to ? siblings.toSpliced(from, 1).toSpliced(to, 0, wish) : siblings;
		});
		if (wishes !== this.wishes) this.change({ wishes });
	}

	/** Keeps a block where it is, or on another page, or lets its wish move again. */
	pin(block: Block, to: 'here' | 'free' | number, alone = false): void {
		const pin =
			to === 'free' ? undefined : to === 'here' ? { ...pinOf(block), alone } : { page: to, alone };
		// Not as an edit: each of these is a step of its own to take back.
		if (block.host && to !== 'free' && to !== 'here') {
			const out = outOfHost(this.wishes, block.wish);
			return this.moveByHand(
				block.wish,
				withChanged(out, block.wish, (wish) => ({ ...wish, pin }))
			);
		}
		const wishes = !block.host
			? withChanged(this.wishes, block.wish, (wish) => ({
					...wish,
					pin: pin && (alone ? pin : { ...pin, alone: undefined })
				}))
			: to === 'here'
				? holdAt(this.plan, this.run, block, block.pieces)
				: withChanged(this.wishes, block.wish, (wish) => ({ ...wish, spot: undefined }));
		this.moveByHand(block.wish, wishes);
	}

	/** Sends a block to a page, among those that stand there, named from top to bottom. */
	putAmong(block: Block, page: number, order: readonly string[]): void {
		this.moveByHand(block.wish, putAmong(this.wishes, block, page, order));
	}

	/** Keeps everything on some pages as it is, or lets it move again. */
	lock(first: number, last: number, locked: boolean): void {
		const wishes = locked
			? lockPages(this.plan, this.run, first, last)
			: unlockPages(this.plan, first, last);
		this.change({ wishes });
	}

	/** Exchanges the two pages of a spread. */
	swap(page: number): void {
		this.change({ wishes: swapSides(this.plan, this.run, page) });
	}

	/** Lets go of a page that is spoilt: what stands there finds another place, and pages that are begun stay as they are. */
	giveUp(spoilt: number, begun: readonly number[]): void {
		const { plan, run } = this;
		const wishes = begun.reduce(
			(held, page) => lockPages({ ...plan, wishes: held }, run, page, page),
			plan.wishes
		);
		const there = (id: string) =>
			run.blocks.some(
				({ wish, pieces }) => wish === id && pieces.some(({ page }) => page === spoilt)
			);
		const freed = wishes.map((wish) => (there(wish.id) ? { ...wish, pin: undefined } : wish));
		const left = this.month.drawn && undrawPage(this.month.drawn, spoilt);
		this.change({ wishes: freed, drawn: left && left.pages.length > 0 ? left : undefined });
	}

	/** Marks a page as drawn in the book, or takes the mark away. */
	setDrawn(page: number, drawn: boolean): void {
		const known = this.month.drawn;
		if (drawn) this.change({ drawn: drawPage(this.plan, this.run, known, page) });
		else if (known) {
			const left = undrawPage(known, page);
			this.change({ drawn: left.pages.length > 0 ? left : undefined });
		}
	}

	/** What the next month in the book has to do with this one's run: how many pages later it begins now. */
	get nextMoves():
		{ readonly month: string; readonly by: number; readonly to: number } | undefined {
		const { next, notebook } = this.input;
		const last = this.run.pages.at(-1)?.number;
		if (!next || last === undefined || this.planning) return undefined;
		const to = plannablePages(freeAfter(notebook, last))[0]?.number;
		if (to === undefined || to === next.first) return undefined;
		return { month: next.month, by: to - next.first, to };
	}

	/** The colours of the month before it in the book that has some. */
	get themeBefore(): Theme | undefined {
		return this.input.themeBefore;
	}

	get cuts(): readonly Cut[] {
		return this.month.cuts ?? [];
	}

	/** Makes a cut, or changes the one with its id; what is `held` stays where it lies around the cut. */
	setCut(cut: Cut, held?: Block): void {
		const known = this.cuts.some(({ id }) => id === cut.id);
		const cuts = known
			? this.cuts.map((other) => (other.id === cut.id ? cut : other))
			: [...this.cuts, cut];
		const wishes = held ? holdAt(this.plan, this.run, held, held.pieces) : this.wishes;
		this.change({ cuts, wishes });
	}

	removeCut(id: string): void {
		const left = this.cuts.filter((cut) => cut.id !== id);
		// As the server keeps it: no cuts are none, not an empty list.
		this.change({ cuts: left.length > 0 ? left : undefined });
	}

	/** The plan with a cut that is not made yet. */
	planWithCut(cut: Cut): Plan {
		const others = this.cuts.filter(({ id }) => id !== cut.id);
		return this.planFor({ ...this.month, cuts: [...others, cut] });
	}

	/** What a plan comes to that is being tried; undefined when another one is tried meanwhile. */
	tryOut(plan: Plan): Promise<Summary | undefined> | undefined {
		return this.planner?.tryOut(plan);
	}

	/** What the same wishes come to in another notebook or another month. */
	compare(plan: Plan): Promise<Summary> | undefined {
		return this.planner?.compare(plan);
	}

	/** The run of another plan, such as that of the next month. */
	runOf(plan: Plan): Promise<Run | undefined> | undefined {
		return this.planner?.runOf(plan);
	}

	/** The least moving of goals that leaves time for all of them. */
	leveled(...asked: Parameters<Planner['leveled']>): ReturnType<Planner['leveled']> | undefined {
		return this.planner?.leveled(...asked);
	}

	/** Changes that would give a wish without a place one; each was tried out. */
	remedies(wish: string): Promise<Remedy[]> {
		return this.planner?.remedies(this.plan, this.run, wish) ?? Promise.resolve([]);
	}

	/** The sittings in which what is not drawn yet is made. */
	making(
		workshop: Workshop,
		evenings: Evenings,
		today: string,
		moved: Readonly<Record<string, string>>
	): Promise<MakingPlan> | undefined {
		return this.planner?.making(this.plan, this.run, workshop, evenings, today, moved);
	}

	/** Seconds that the month would take with some of it changed, and how many wishes would find no place. */
	timeWith(change: Partial<KeptMonth>, workshop: Workshop) {
		return this.planner?.timeFor(this.planFor({ ...this.month, ...change }), workshop);
	}

	private present(history: History<KeptMonth>): void {
		this.history = history;
		this.moved = undefined;
		this.moving = undefined;
		this.saver.write(history.present);
		this.rememberSoon();
		this.ask();
	}

	/** Has what is shown planned. */
	private ask(): void {
		this.planning = true;
		void this.planner?.request(this.planFor(this.month));
	}

	/** What follows from a run that is worked out to the end. */
	private settled(plan: Plan): void {
		if (this.moving && plan !== this.moving.plan) {
			const others = othersMoved(this.moving, this.run);
			this.moved = others.length > 0 ? { move: this.moving, others } : undefined;
			this.moving = undefined;
		}
		this.suggest(plan);
	}

	/** Has the other aims worked out once the hand rests; the old numbers stay until then, most changes leave them. */
	private suggest(plan: Plan): void {
		this.suggesting = true;
		const own = { aim: plan.aim, summary: summaryOf(this.run) };
		this.suggestions = [...this.suggestions.filter(({ aim }) => aim !== plan.aim), own];
		clearTimeout(this.resting);
		this.resting = setTimeout(() => void this.suggestOthers(plan, own), restMs);
	}

	private async suggestOthers(plan: Plan, own: Suggestion): Promise<void> {
		const others = await this.planner?.suggestOthers(plan);
		if (!others || plan !== this.plan) return;
		this.suggestions = [own, ...others];
		this.suggesting = false;
	}

	private planFor(month: KeptMonth): Plan {
		const { notebook, person, earlierCuts, earlierWeeks } = this.input;
		const plan = planOf(month, notebook, person);
		return withEarlier(plan, earlierCuts, earlierWeeks);
	}

	/** Ids that nothing has or had: what is drawn or can be brought back keeps its own. */
	private freeIds(): (kind: string) => string {
		const { past, present, future } = this.history;
		return idGiver(
			[...past, present, ...future].flatMap(({ wishes, drawn }) => [
				...allWishes(wishes).map(({ id }) => id),
				...(drawn?.blocks.map(({ wish }) => wish.id) ?? [])
			])
		);
	}
}

/** A copy of a wish and its members under other ids. */
function renamed(wish: Wish, freeId: (kind: string) => string): Wish {
	const copy: Wish = { ...wish, id: freeId(wish.kind) };
	return wish.members
		? { ...copy, members: wish.members.map((member) => renamed(member, freeId)) }
		: copy;
}

/** Puts the desk where the screens of its month find it, and finds it there. */
export const [getMonthDesk, setMonthDesk] = createContext<() => MonthDesk>();
