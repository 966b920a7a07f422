import { overlaps, pageOf, spreadOf, type Notebook, type Rect } from '../paper';
import { frontsOf, type Cut } from './cut';
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

/** All advice for the cuts of a book, with what stands on its pages; nothing is said twice. */
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
	const pairs = taken.flatMap((one, index): Advice[] =>
		taken.slice(index + 1).flatMap((other): Advice[] => {
			const distance = between(one, other);
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

function ofViews(
	notebook: Notebook,
	cuts: readonly Cut[],
	fronts: readonly number[],
	blocks: readonly OnPage[]
): Advice[] {
	const spreads = new Set(
		fronts.flatMap((front) => [front, front + 1]).map((page) => spreadOf(page).left)
	);
	return [...spreads].flatMap((left) => {
		const opening = openingAt(notebook, cuts, left);
		const where = `at pages ${left} and ${left + 1}`;
		return [opening.left, opening.right].flatMap((stack) =>
			stack
				.slice(1)
				.flatMap(({ page }, index) =>
					blocks
						.filter((block) => block.page === page)
						.flatMap((block) => ofView(notebook, stack, block, index === stack.length - 2, where))
				)
		);
	});
}

function ofView(
	notebook: Notebook,
	stack: Stack,
	{ name, page, rect, ofSet }: OnPage,
	shared: boolean,
	where: string
): Advice[] {
	const view = viewOf(notebook, stack, page, rect);
	const through = `through page ${stack[0].page}`;
	if (view === 'part')
		return [
			{
				kind: 'part',
				page,
				text: `${name} on page ${page} is seen only in part ${through}, ${where}.`
			}
		];
	if (view === 'whole' && !shared)
		return [{ kind: 'shows', page, text: `${name} on page ${page} shows ${through}, ${where}.` }];
	// What a door hides on the page that all leaves share is found only when the whole set is turned.
	if (view === 'hidden' && shared && !ofSet)
		return [
			{
				kind: 'hidden',
				page,
				text: `${name} on page ${page} stays hidden beneath page ${stack[0].page}, ${where}.`
			}
		];
	return [];
}
