import { createContext } from 'svelte';
import { begin as begun, kindById, withAdded } from '$lib/core/catalogue';
import type { Cut } from '$lib/core/cuts';
import type { Evenings, MakingPlan, Workshop } from '$lib/core/making';
import {
	cutsAlong,
	laysOf,
	lockPages,
	planOf,
	putAmong,
	swapSides,
	unlockPages,
	withEarlier,
	type Block,
	type KeptMonth,
	type Remedy,
	type Person,
	type Plan,
	type Run
} from '$lib/core/fit';
import {
	arranged,
	intoHost,
	outOfHost,
	sameContent,
	withChanged,
	without,
	type Wish
} from '$lib/core/wish';
import { freeAfter, plannablePages, type Notebook, type Rect } from '$lib/core/paper';
import { putChange } from '../send';
import { Saver } from '../keeping/saver.svelte';
import type { Theme } from '$lib/core/theme';
import { MonthSteps } from './month-steps.svelte';
import {
	drawnWith,
	freeIds,
	givenUp,
	movedBy,
	pinnedTo,
	renamed,
	withCopy,
	type PinTo
} from './moves';
import { withCutMade, withMade, withoutCut } from './cut-changes';
import { Account } from './account.svelte';
import { onlyThis } from './account-lines';
import { Outlook } from './outlook.svelte';
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

/** A month as one works on it: its wishes with undo, its run as soon as it is planned, its keeping. */
export class MonthDesk {
	private readonly steps: MonthSteps;
	/** The plan that the run belongs to; while a newer one is being planned both lag behind together. */
	plan: Plan;
	run: Run;
	/** Whether the settings that are opened next take the focus. */
	entersSettings = $state(false);
	/** The wish that is being edited, shown in the run as well. */
	chosen = $state<string>();
	planning = $state(false);
	/** Whether the planner can be asked; on the server it cannot. */
	opened = $state(false);
	/** What else could be made of it. */
	readonly outlook = new Outlook();
	trouble = $state<string>();
	/** What the latest change did besides. */
	readonly account = new Account();
	private planner: Planner | undefined;
	readonly saver: Saver<KeptMonth>;
	private channel: BroadcastChannel | undefined;

	constructor(private input: DeskInput) {
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
				this.steps.rememberSoon();
			}
		);
		this.steps = new MonthSteps(input.id, input.month, this.saver, () => this.ask());
	}

	get id() {
		return this.input.id;
	}

	get notebookId() {
		return this.input.notebookId;
	}

	get month(): KeptMonth {
		return this.steps.month;
	}

	get wishes(): readonly Wish[] {
		return this.steps.month.wishes;
	}

	get canUndo() {
		return this.steps.canUndo;
	}

	get canRedo() {
		return this.steps.canRedo;
	}

	/**
	 * Starts planning and listens to other windows; returns what ends both. `reload` fetches the month
	 * as others have written it.
	 */
	open(reload: () => Promise<unknown>): () => void {
		this.planner = new Planner(
			({ plan, run }, final) => {
				// What is still being looked for a place is not lost: the last run stays until a better one is known.
				if (!final && run.unplaced.length > this.run.unplaced.length) return;
				this.plan = plan;
				this.run = run;
				this.planning = !final;
				if (!final) return;
				// That a cut goes along is part of what a hand did, and undone with it.
				if (plan.cuts && !sameContent(plan.cuts, this.cuts)) this.steps.follow({ cuts: plan.cuts });
				this.account.settle(plan, run);
				this.suggest();
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
		const leave = () => this.steps.rememberNow();
		window.addEventListener('pagehide', leave);
		const touched = new AbortController();
		const touch = () => {
			touched.abort();
			void this.planner?.warm(this.plan);
		};
		for (const event of ['pointerdown', 'keydown'])
			window.addEventListener(event, touch, { signal: touched.signal });
		const shown = this.month;
		this.steps.recallOnce();
		const isAlong = cutsAlong(this.plan, this.run) === this.plan.cuts;
		if (this.month !== shown || this.input.trouble || !isAlong) this.ask();
		else this.suggest();
		this.opened = true;
		return () => {
			this.opened = false;
			this.steps.rememberNow();
			window.removeEventListener('pagehide', leave);
			touched.abort();
			this.outlook.close();
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
		if (!same) this.steps.adopt(input.month);
		this.plan = this.planFor(input.month);
		this.run = input.run;
		this.outlook.leave(this.plan);
		if (input.trouble) this.ask();
		else if (this.opened) this.suggest();
	}

	/** Forgets the month's steps in this window. */
	forget(): void {
		this.steps.forget();
	}

	/** Changes the month, plans it anew and keeps it; equal names in a row without a pause are undone together. */
	change(content: Partial<KeptMonth>, name?: string): void {
		const { plan, run } = this;
		this.steps.change(content, name);
		this.account.begin(this.steps.before, plan, run);
	}

	/** The same, where a hand moved a block: equally good runs keep all others where they lie. */
	moveByHand(wishes: readonly Wish[], name?: string): void {
		this.change({ wishes, lately: laysOf(this.plan, this.run) }, name);
	}

	/** Keeps the latest change, and holds everything else where it lay before. */
	holdOthers(): void {
		const { told } = this.account;
		if (told) this.change({ wishes: onlyThis(told.act, this.wishes) });
	}

	/** Takes the month back to what it was; what is drawn in the book stays drawn. */
	bringBack(past: KeptMonth): void {
		const { month, weekStart, aim, sizes, titles, theme, wishes, cuts } = past;
		this.change({ month, weekStart, aim, sizes, titles, theme, wishes, cuts, lately: undefined });
	}

	/** Ends what is undone together: a field was left. */
	endStep(): void {
		this.steps.endStep();
	}

	undo(): void {
		this.account.drop();
		this.steps.undo();
	}

	redo(): void {
		this.account.drop();
		this.steps.redo();
	}

	/** A way to take back what was done last, that one act and nothing else, whatever comes after it. */
	wayBack(): () => void {
		return this.steps.wayBack();
	}

	/** Adds a wish of a kind where it belongs in the list. */
	add(kindId: string): void {
		const kind = kindById(kindId);
		if (kind) this.put(begun(kind, this.freeIds()));
	}

	/** Adds a copy of a wish where it belongs in the list, under an id that is free. */
	addWish(like: Wish): void {
		this.put(renamed(like, this.freeIds()));
	}

	/** Keeps free squares of a page for a picture. */
	keepForPicture(page: number, rect: Rect): void {
		const kind = kindById('picture');
		if (kind) this.put({ ...begun(kind, this.freeIds()), pin: { page, ...rect } });
	}

	private put(wish: Wish): void {
		this.change({ wishes: withAdded(this.wishes, wish) });
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
		const { wishes, copied } = withCopy(this.wishes, id, this.freeIds());
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
		const wishes = movedBy(this.wishes, id, by);
		if (wishes !== this.wishes) this.change({ wishes });
	}

	/** Keeps a block where it is, or on another page, or lets its wish move again. */
	pin(block: Block, to: PinTo): void {
		// Not as an edit: each of these is a step of its own to take back.
		this.moveByHand(pinnedTo(this.month, this.plan, this.run, block, to));
	}

	/** Sends a block to a page, among those that stand there, named from top to bottom. */
	putAmong(block: Block, page: number, order: readonly string[]): void {
		this.moveByHand(putAmong(this.wishes, block, page, order));
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
		this.change(givenUp(this.month, this.plan, this.run, spoilt, begun));
	}

	/** Marks a page as drawn in the book, or takes the mark away. */
	setDrawn(page: number, drawn: boolean): void {
		if (!drawn && !this.month.drawn) return;
		this.change({ drawn: drawnWith(this.month, this.plan, this.run, page, drawn) });
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
	setCut(cut: Cut, held: readonly Block[]): void {
		this.change(withCutMade(this.month, this.plan, this.run, cut, held));
	}

	/** Says that a cut is made in the book, and stays where it is, or is planned only, for what stands there now. */
	setMade(id: string, made: boolean): void {
		const { cuts } = this;
		const next = withMade(cuts, this.run, id, made);
		if (next !== cuts) this.change({ cuts: next });
	}

	removeCut(id: string): void {
		this.change({ cuts: withoutCut(this.cuts, id) });
	}

	/** The plan with a cut that is not made yet. */
	planWithCut(cut: Cut): Plan {
		const others = this.cuts.filter(({ id }) => id !== cut.id);
		return this.planFor({ ...this.month, cuts: [...others, cut] });
	}

	/** The run of a plan that is being tried; undefined when another one is tried meanwhile. */
	tryOut(plan: Plan): Promise<Run | undefined> | undefined {
		return this.planner?.tryOut(plan);
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

	/** Has what is shown planned. */
	private ask(): void {
		this.planning = true;
		this.outlook.leave(undefined);
		void this.planner?.request(this.planFor(this.month));
	}

	/** Has what else could be made of the shown plan worked out. */
	private suggest(): void {
		this.outlook.begin(this.planner, this.plan, this.run);
	}

	private planFor(month: KeptMonth): Plan {
		const { notebook, person, earlierCuts, earlierWeeks } = this.input;
		const plan = planOf(month, notebook, person);
		return withEarlier(plan, earlierCuts, earlierWeeks);
	}

	private freeIds(): (kind: string) => string {
		return freeIds(this.steps.months);
	}
}

/** Puts the desk where the screens of its month find it, and finds it there. */
export const [getMonthDesk, setMonthDesk] = createContext<() => MonthDesk>();
