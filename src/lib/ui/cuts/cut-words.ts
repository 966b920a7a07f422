import { frontsOf, stepOf, usual, type Cut, type CutKind } from '$lib/core/cuts';

/** What kinds of cuts are called, and what each is for. */
export const cutNames: Readonly<Record<CutKind, { readonly name: string; readonly use: string }>> =
	{
		strip: {
			name: 'Side door',
			use: 'a strip off the outer edge: what lies beneath is visible'
		},
		top: { name: 'Upper door', use: 'the upper part off' },
		bottom: { name: 'Lower door', use: 'the lower part off' },
		tab: { name: 'Tabs', use: 'a tab on each leaf of a set, the next one lower' },
		window: { name: 'Window', use: 'a hole that shows what lies beneath' },
		waterfall: { name: 'Waterfall', use: 'each leaf of a set narrower than the next' },
		corner: { name: 'Round corners', use: 'both outer corners of a leaf' },
		outline: { name: 'Free outline', use: 'along a drawing, or around letters' },
		glue: { name: 'Glued part', use: 'leaves held together; nothing is written there' }
	};

/** A cut in a few words: "Side door of 10, leaves 63 to 69". */
export function cutTitle(cut: Cut): string {
	const fronts = frontsOf(cut);
	const leaves =
		fronts.length === 1
			? `leaf ${fronts[0]}/${(fronts[0] ?? 0) + 1}`
			: `leaves from ${fronts[0]} to ${(fronts.at(-1) ?? 0) + 1}`;
	return `${cutNames[cut.kind].name}${sizeWords(cut)}, ${leaves}`;
}

function sizeWords(cut: Cut): string {
	if (cut.kind === 'strip') return ` of ${cut.amount ?? usual.strip}`;
	if (cut.kind === 'waterfall') return ` in steps of ${stepOf(cut)}`;
	if (cut.rect) return ` of ${cut.rect.w} × ${cut.rect.h}`;
	return cut.amount === undefined ? '' : ` of ${cut.amount}`;
}

/** A new cut of a kind that begins on a leaf, with usual measures; tabs stand on what `others` leave of it (common practice). */
export function newCut(
	id: string,
	kind: CutKind,
	front: number,
	page: { columns: number; rows: number },
	others: readonly Cut[] = []
): Cut {
	const { columns, rows } = page;
	const set = (count: number) => ({ first: front, last: front + 2 * (count - 1) });
	const middle = (w: number, h: number) => ({
		x: Math.floor((columns - w) / 2),
		y: Math.floor((rows - h) / 2),
		w,
		h
	});
	switch (kind) {
		case 'strip':
			return { id, kind, leaves: set(2), amount: Math.min(usual.strip, columns - 1) };
		case 'top':
		case 'bottom':
			return { id, kind, leaves: set(2), amount: Math.floor(rows / 3) };
		case 'tab': {
			const door = others.find(
				(cut) => (cut.kind === 'top' || cut.kind === 'bottom') && frontsOf(cut).includes(front)
			);
			if (door) return tabsOn(door, id, page);
			return {
				id,
				kind,
				leaves: set(4),
				size: usual.tab,
				step: usual.tab.h,
				depth: Math.min(usual.tabDepth, columns - 1),
				lastUncut: true
			};
		}
		case 'waterfall':
			return { id, kind, leaves: set(3), step: usual.waterfallStep };
		case 'corner':
			return { id, kind, leaves: set(1), amount: usual.corner };
		case 'window':
			return {
				id,
				kind,
				leaves: set(1),
				rect: middle(Math.floor(columns / 3), Math.max(1, rows - 6)),
				shape: 'rectangle'
			};
		case 'glue':
			return { id, kind, leaves: set(2), rect: { x: 0, y: 0, w: columns, h: 4 } };
		case 'outline': {
			const { x, y, w, h } = middle(8, 8);
			return {
				id,
				kind,
				leaves: set(1),
				points: [
					{ x: x + w / 2, y },
					{ x: x + w, y: y + h },
					{ x, y: y + h }
				]
			};
		}
	}
}

/** Tabs on what a door leaves of its leaves, one on each. */
function tabsOn(door: Cut, id: string, { columns, rows }: { columns: number; rows: number }): Cut {
	const taken = door.amount ?? Math.floor(rows / 3);
	const fronts = frontsOf(door).slice(0, door.lastUncut ? -1 : undefined);
	const h = Math.max(1, Math.min(usual.tab.h, Math.floor((rows - taken) / fronts.length)));
	return {
		id,
		kind: 'tab',
		leaves: { first: door.leaves.first, last: fronts.at(-1) ?? door.leaves.first },
		size: { ...usual.tab, h },
		step: h,
		...(door.kind === 'top' ? { from: taken } : {}),
		depth: Math.min(usual.tabDepth, columns - 1)
	};
}
