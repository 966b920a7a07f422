import type { Block, Run } from '$lib/core/fit';

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
