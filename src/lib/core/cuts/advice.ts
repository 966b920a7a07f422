import { contains, overlaps, pageOf, spreadOf, type Notebook, type Rect } from '../paper';
import { frontOf, frontsOf, type Cut } from './cut';
import { distanceOf, edgesOf } from './inside';
import { openingAt, viewOf, type Stack } from './opening';
import { removals, type Removal } from './removed';
import { usableOf } from './usable';

/** Something that stands on a page, by name. */
export interface OnPage {
	readonly name: string;
	readonly page: number;
	readonly rect: Rect;
	/** It is in the book already. */
	readonly drawn: boolean;
	/** It is a page of a set, turned with its leaves: that others lie over it is what they are cut for. */
	readonly ofSet?: boolean;
}

/**
 * What is to be known of a set of cuts before the blade: two cuts that `meet`, a `bridge` of paper too narrow
 * to hold, a cut through something `drawn`, a block seen in `part`, one that `shows` through a leaf's cut
 * though it belongs to another leaf of the set, one that stays `hidden` beneath.
 */
export interface Advice {
	readonly kind: 'meet' | 'bridge' | 'drawn' | 'part' | 'shows' | 'hidden';
	readonly page: number;
	readonly text: string;
}

/** Paper narrower than this tears (common practice), in squares. */
const leastBridge = 2;

/** All advice for the cuts of a book, with what stands on its pages; what is to be said of a block is said once. */
export function adviceFor(
	notebook: Notebook,
	cuts: readonly Cut[],
	blocks: readonly OnPage[]
): Advice[] {
	const fronts = [...new Set(cuts.flatMap(frontsOf))].sort((a, b) => a - b);
	const all = [
		...fronts.flatMap((front) => ofPaper(notebook, cuts, front)),
		...fronts.flatMap((front) =>
			[front, front + 1].flatMap((page) => ofDrawn(notebook, cuts, page, blocks))
		),
		...ofViews(notebook, cuts, fronts, blocks)
	];
	return all.filter(({ text }, index) => all.findIndex((other) => other.text === text) === index);
}

function ofPaper(notebook: Notebook, cuts: readonly Cut[], front: number): Advice[] {
	const taken = removals(notebook, cuts, front);
	const leaf = `leaf ${front}/${front + 1}`;
	const least = leastBridge * notebook.pitchMm;
	const isLoose = taken.length > 1 && hasLoosePart(notebook, cuts, front);
	const pairs = taken.flatMap((one, index): Advice[] =>
		taken.slice(index + 1).flatMap((other): Advice[] => {
			const distance = between(one, other);
			if (distance === 0 && isOpen(one) && isOpen(other) && !isLoose) return [];
			if (distance === 0)
				return [
					{
						kind: 'meet',
						page: front,
						text: `Two cuts meet on ${leaf}: a part falls out or hangs loose.`
					}
				];
			return distance < least ? [bridge(front, leaf, distance, 'between two cuts')] : [];
		})
	);
	const edges = taken.flatMap((one): Advice[] => {
		if (one.cut.kind !== 'window' && one.cut.kind !== 'outline') return [];
		const distance = toPaperEdge(notebook, one);
		return distance > 0 && distance < least
			? [bridge(front, leaf, distance, 'between the opening and the edge of the paper')]
			: [];
	});
	return [...pairs, ...edges];
}

/** Whether a cut takes away to the paper's edge: two such may meet, as a door does with the tabs on what it leaves. */
const isOpen = ({ cut: { kind } }: Removal) => kind !== 'window' && kind !== 'outline';

/** Whether any of what is left of a leaf does not hang on its fold. */
function hasLoosePart(notebook: Notebook, cuts: readonly Cut[], front: number): boolean {
	const { columns, rows } = pageOf(notebook, front);
	const gone = usableOf(notebook, cuts, front).lost;
	const isGone = (x: number, y: number) =>
		gone.some((rect) => contains(rect, { x, y, w: 1, h: 1 }));
	const reached = new Set<number>();
	const next = Array.from({ length: rows }, (_, y) => y * columns);
	for (let at = next.pop(); at !== undefined; at = next.pop()) {
		const [x, y] = [at % columns, Math.floor(at / columns)];
		if (reached.has(at) || isGone(x, y)) continue;
		reached.add(at);
		if (x > 0) next.push(at - 1);
		if (x < columns - 1) next.push(at + 1);
		if (y > 0) next.push(at - columns);
		if (y < rows - 1) next.push(at + columns);
	}
	const left = columns * rows - gone.reduce((sum, { w, h }) => sum + w * h, 0);
	return reached.size < left;
}

function bridge(page: number, leaf: string, mm: number, where: string): Advice {
	const text = `Only ${Math.round(mm * 10) / 10} mm of paper stay ${where} on ${leaf}: less than ${leastBridge} squares tear.`;
	return { kind: 'bridge', page, text };
}

function between(one: Removal, other: Removal): number {
	return Math.min(...one.outlines.flatMap((a) => other.outlines.map((b) => distanceOf(a, b))));
}

function toPaperEdge({ pageMm }: Notebook, { outlines }: Removal): number {
	return Math.min(
		...outlines.map((outline) => {
			const { left, top, right, bottom } = edgesOf(outline);
			return Math.min(left, top, pageMm.width - right, pageMm.height - bottom);
		})
	);
}

function ofDrawn(
	notebook: Notebook,
	cuts: readonly Cut[],
	page: number,
	blocks: readonly OnPage[]
): Advice[] {
	const { lost } = usableOf(notebook, cuts, page);
	if (pageOf(notebook, page).state === 'drawn' && lost.length > 0)
		return [
			{ kind: 'drawn', page, text: `Page ${page} is drawn already, and a cut goes through it.` }
		];
	return blocks
		.filter((block) => block.drawn && block.page === page)
		.filter(({ rect }) => lost.some((part) => overlaps(part, rect)))
		.map(({ name }) => ({
			kind: 'drawn',
			page,
			text: `A cut goes through ${name}, which is drawn on page ${page} already.`
		}));
}

/** What of a block is seen otherwise than on a whole leaf, and past which page. */
interface Seen {
	readonly kind: 'part' | 'shows' | 'hidden';
	readonly block: OnPage;
	readonly past: number;
}

function ofViews(
	notebook: Notebook,
	cuts: readonly Cut[],
	fronts: readonly number[],
	blocks: readonly OnPage[]
): Advice[] {
	const spreads = new Set(
		fronts.flatMap((front) => [front, front + 1]).map((page) => spreadOf(page).left)
	);
	const seen = [...spreads].flatMap((left) => {
		const opening = openingAt(notebook, cuts, left);
		return [opening.left, opening.right].flatMap((stack) =>
			stack
				.slice(1)
				.flatMap(({ page }, index) =>
					blocks
						.filter((block) => block.page === page && !isFanned(cuts, stack, page))
						.flatMap((block) => seenOf(notebook, stack, block, index === stack.length - 2))
				)
		);
	});
	return seen
		.filter(
			({ block, kind }, index) =>
				seen.findIndex((other) => other.block === block && other.kind === kind) === index
		)
		.map(({ block, kind }) => {
			const past = seen
				.filter((other) => other.block === block && other.kind === kind)
				.map((other) => other.past);
			return { kind, page: block.page, text: sentenceOf(kind, block, past) };
		});
}

/** Whether a page shows past another one because its leaf is the next of a waterfall: that is what a waterfall is for. */
function isFanned(cuts: readonly Cut[], stack: Stack, page: number): boolean {
	const [over] = stack;
	return cuts.some((cut) => {
		if (cut.kind !== 'waterfall' || !over) return false;
		const fronts = frontsOf(cut);
		return fronts.includes(frontOf(over.page)) && fronts.includes(frontOf(page));
	});
}

function sentenceOf(kind: Seen['kind'], { name, page }: OnPage, past: readonly number[]): string {
	const pages =
		past.length === 1
			? `page ${past[0]}`
			: `pages ${past.slice(0, -1).join(', ')} and ${past.at(-1)}`;
	switch (kind) {
		case 'part':
			return `${name} on page ${page} is seen only in part past ${pages}.`;
		case 'shows':
			return `${name} on page ${page} shows through ${pages}.`;
		case 'hidden':
			return `${name} on page ${page} stays hidden beneath ${pages}.`;
	}
}

function seenOf(notebook: Notebook, stack: Stack, block: OnPage, shared: boolean): Seen[] {
	const [over] = stack;
	if (!over) return [];
	const view = viewOf(notebook, stack, block.page, block.rect);
	const seen = (kind: Seen['kind']): Seen[] => [{ kind, block, past: over.page }];
	if (view === 'part') return seen('part');
	if (view === 'whole' && !shared) return seen('shows');
	// What a door hides on the page that all leaves share is found only when the whole set is turned.
	return view === 'hidden' && shared && !block.ofSet ? seen('hidden') : [];
}
