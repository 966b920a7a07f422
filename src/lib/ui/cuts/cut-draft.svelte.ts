import { adviceFor, cutFault, frontsOf, type Advice, type Cut, type CutKind } from '$lib/core/cuts';
import {
	cutsOf,
	roomsOf,
	summaryOf,
	usableSquares,
	type Block,
	type OpenRoom,
	type Plan,
	type Run,
	type Summary
} from '$lib/core/fit';
import {
	contains,
	outlineShapes,
	overlaps,
	pageOf,
	type OutlineShape,
	type Rect
} from '$lib/core/paper';
import { blockName } from '../month/block-name';
import type { MonthDesk } from '../month/month-desk.svelte';
import { newCut } from './cut-words';

/** What a page keeps of its squares. */
export interface PageCost {
	readonly page: number;
	readonly lost: number;
	readonly of: number;
	/** The largest rectangle that stays. */
	readonly stays: string;
}

/** A hand that has not moved for so long rests. */
const restMs = 120;

/** So much of a picture stays around its window: narrower paper tears at the edge of the page (common practice). */
const frameAround = 2;

function insideOf({ x, y, w, h }: Rect): Rect {
	const by = Math.min(frameAround, Math.floor((Math.min(w, h) - 1) / 2));
	return { x: x + by, y: y + by, w: w - 2 * by, h: h - 2 * by };
}

/** A hole has the shape of the frame around it. */
function shapeOf({ host: { as, form } }: OpenRoom): OutlineShape {
	const outline = as.rules?.[form]?.outline;
	return outlineShapes.find((shape) => shape === outline) ?? 'rectangle';
}

/** A cut that is being made or changed: shown and reckoned before it is accepted. */
export class CutDraft {
	cut = $state.raw<Cut>();
	/** The draft as it was when the hand last rested: what is reckoned is reckoned for it. */
	private settled = $state.raw<Cut>();
	private rest: ReturnType<typeof setTimeout> | undefined;
	/** The run with it; undefined while that is being worked out. */
	private tried = $state.raw<Run>();
	/** What stands on its pages stays there, however it may be cut. */
	keeps = $state(false);

	constructor(private readonly desk: MonthDesk) {}

	/** The plan with the draft in it; the desk's own without one. */
	get plan(): Plan {
		return this.planWith(this.cut);
	}

	get fault(): string | undefined {
		return this.cut && cutFault(this.desk.plan.notebook, this.cut)?.message;
	}

	get isNew(): boolean {
		return !this.desk.cuts.some(({ id }) => id === this.cut?.id);
	}

	begin(kind: CutKind, front: number): void {
		const taken = this.desk.cuts.map(({ id }) => id);
		let id: string = kind;
		for (let count = 2; taken.includes(id); count++) id = `${kind}-${count}`;
		const page = pageOf(this.desk.plan.notebook, front);
		const cut = newCut(id, kind, front, page, this.desk.cuts);
		const picture = kind === 'window' ? this.pictureOn(front) : undefined;
		this.set(picture ? { ...cut, rect: insideOf(picture.rect), shape: shapeOf(picture) } : cut);
	}

	/** The place of a picture on a page: what a window there is cut out of. */
	private pictureOn(page: number): OpenRoom | undefined {
		const { plan, run } = this.desk;
		return run.blocks
			.flatMap((block) => roomsOf(plan, block))
			.find((room) => room.page === page && room.name === 'picture');
	}

	/** Shows a cut as it would be; what it costs is worked out when the hand rests. */
	set(cut: Cut): void {
		this.cut = cut;
		clearTimeout(this.rest);
		this.rest = setTimeout(() => {
			this.settled = cut;
			this.tried = undefined;
			if (!this.fault) void this.reckon(cut);
		}, restMs);
	}

	accept(): void {
		if (!this.cut || this.fault) return;
		this.desk.setCut(this.cut, this.keeps ? this.leaving : []);
		this.leave();
	}

	leave(): void {
		clearTimeout(this.rest);
		this.cut = undefined;
		this.settled = undefined;
		this.tried = undefined;
		this.keeps = false;
	}

	/** What the run comes to with the cut; undefined while that is being worked out. */
	get outcome(): Summary | undefined {
		return this.tried && summaryOf(this.tried);
	}

	/** What stands on the cut's pages, not where paper is lost, and goes to another one all the same. */
	leaving = $derived.by((): Block[] => {
		const { settled, tried, desk } = this;
		if (!settled || !tried) return [];
		const plan = this.planWith(settled);
		const pages = frontsOf(settled).flatMap((front) => [front, front + 1]);
		const placesIn = (run: Run, { wish, as }: Block) =>
			run.blocks
				.filter((other) => other.wish === wish && other.as.part?.week === as.part?.week)
				.flatMap(({ pieces }) => pieces.map(({ page }) => page));
		return desk.run.blocks.filter((block) => {
			const [{ page, rect }, second] = block.pieces;
			if (block.host || block.as.part || second || !pages.includes(page)) return false;
			const isCut = usableSquares(plan, page).lost.some((lost) => overlaps(lost, rect));
			return !isCut && !placesIn(tried, block).includes(page);
		});
	});

	/** What the cut's pages lose, and what stays of each. */
	costs = $derived.by((): PageCost[] => {
		const { settled: cut } = this;
		const plan = this.planWith(cut);
		if (!cut || cutFault(plan.notebook, cut)) return [];
		return frontsOf(cut).flatMap((front) =>
			[front, front + 1].map((page): PageCost => {
				const { rects, lost } = usableSquares(plan, page);
				const { columns, rows } = pageOf(plan.notebook, page);
				const [largest] = rects;
				return {
					page,
					lost: lost.reduce((sum, { w, h }) => sum + w * h, 0),
					of: columns * rows,
					stays: largest ? `${largest.w} × ${largest.h}` : 'nothing'
				};
			})
		);
	});

	/** The run as it is, to compare with. */
	get before(): Summary {
		return summaryOf(this.desk.run);
	}

	/** What is to be known of all cuts, the draft among them. */
	advice = $derived.by((): Advice[] => {
		const { settled, desk } = this;
		const plan = this.planWith(settled);
		if (settled && cutFault(plan.notebook, settled)) return [];
		const run = settled ? (this.tried ?? desk.run) : desk.run;
		const blocks = run.blocks.flatMap((block) =>
			block.pieces
				.filter(({ page, rect }) => !isWithinHost(run, block, page, rect))
				.map(({ page, rect }) => ({
					name: blockName(block),
					page,
					rect,
					drawn: plan.drawn?.pages.includes(page) ?? false,
					ofSet: block.as.part !== undefined
				}))
		);
		return adviceFor(plan.notebook, cutsOf(plan), blocks);
	});

	private planWith(cut: Cut | undefined): Plan {
		const { desk } = this;
		return cut ? { ...desk.plan, cuts: desk.planWithCut(cut).cuts ?? [] } : desk.plan;
	}

	private async reckon(cut: Cut): Promise<void> {
		const tried = await this.desk.tryOut(this.desk.planWithCut(cut));
		// A newer draft has its own answer on the way.
		if (tried && cut === this.cut) this.tried = tried;
	}
}

/** Whether a member stands inside its host, which is spoken of in its place. */
function isWithinHost(run: Run, { host }: Block, page: number, rect: Rect): boolean {
	return (
		host !== undefined &&
		run.blocks.some(
			({ wish, pieces }) =>
				wish === host.wish &&
				pieces.some((piece) => piece.page === page && contains(piece.rect, rect))
		)
	);
}
