import { lockPages, ownBlocks, type Block, type Plan, type Run } from '$lib/core/fit';
import type { Wish } from '$lib/core/wish';

/** What tells a block from all others wherever it lies. */
export function movingKey({ wish, as }: Block): string {
	return `${wish} ${as.part?.week ?? ''} ${as.part?.page ?? ''}`;
}

/** Blocks of a run that lay elsewhere in the run before, by what tells them apart. */
export function movedBlocks(before: Run, after: Run): string[] {
	const places = new Map(
		before.blocks.map((block) => [movingKey(block), JSON.stringify(block.pieces)])
	);
	return after.blocks.flatMap((block) => {
		const key = movingKey(block);
		const place = places.get(key);
		return place === undefined || place === JSON.stringify(block.pieces) ? [] : [key];
	});
}

/** What a hand moved, and what the run was before. */
export interface HandMove {
	readonly wish: string;
	readonly plan: Plan;
	readonly run: Run;
}

/** Other blocks that lie elsewhere since a hand moved one. */
export function othersMoved({ wish, run }: HandMove, after: Run): Block[] {
	const moved = new Set(movedBlocks(run, after));
	return ownBlocks(after).filter((block) => block.wish !== wish && moved.has(movingKey(block)));
}

/**
 * Wishes with all but the moved one held where they lay before; weekly pages move only as a whole. What lies on the page
 * that the moved one goes to stays on it, but makes room.
 */
export function onlyThis({ wish, plan, run }: HandMove, wishes: readonly Wish[]): Wish[] {
	const drawn = new Set(plan.drawn?.blocks.map(({ wish }) => wish.id));
	const held = lockPages(plan, run, -Infinity, Infinity);
	const goal = wishes.find(({ id }) => id === wish)?.pin?.page;
	return wishes.map((own) => {
		if (own.id === wish || drawn.has(own.id)) return own;
		const kept = held.find(({ id }) => id === own.id);
		if (!kept?.pin) return own;
		return kept.pin.page === goal ? { ...own, pin: { page: goal } } : kept;
	});
}

/** Where these blocks are on the screen: their outlines carry `data-block`. */
export function boxesOf(root: HTMLElement, keys: readonly string[]): Map<string, DOMRect> {
	const boxes = new Map<string, DOMRect>();
	const wanted = new Set(keys);
	for (const outline of root.querySelectorAll<SVGElement>('[data-block]')) {
		const key = outline.dataset.block ?? '';
		if (wanted.has(key) && !boxes.has(key)) boxes.set(key, outline.getBoundingClientRect());
	}
	return boxes;
}

const wayMs = 420;

/** Lets an empty frame travel from where each block was to where it is now. */
export function showWay(
	from: ReadonlyMap<string, DOMRect>,
	to: ReadonlyMap<string, DOMRect>
): void {
	for (const [key, start] of from) {
		const end = to.get(key);
		if (!end) continue;
		const frame = document.createElement('div');
		frame.className = 'moving-frame';
		frame.setAttribute('aria-hidden', 'true');
		document.body.append(frame);
		const at = ({ x, y, width, height }: DOMRect) => ({
			transform: `translate(${x}px, ${y}px)`,
			width: `${width}px`,
			height: `${height}px`
		});
		frame.animate([at(start), at(end)], { duration: wayMs, easing: 'ease-in-out' }).onfinish = () =>
			frame.remove();
	}
}
