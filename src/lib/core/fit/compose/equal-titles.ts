import { fitTitle, formById, titleStyle, twoLines } from '../../forms';
import { spreadOf } from '../../paper';
import { settingOf } from '../choices/choices';
import type { Block, Plan } from '../plan/plan';

/**
 * All titles of an open spread in letters of one height: that of the one which needs the smallest. What is drawn already stays as
 * it is, and counts. (Common practice.)
 */
export function withEqualTitles(plan: Plan, blocks: readonly Block[]): Block[] {
	const least = new Map<number, number>();
	const heights = new Map(blocks.map((block) => [block, titleLettersOf(plan, block)]));
	for (const [block, high] of heights)
		for (const { page } of block.pieces) {
			const { left } = spreadOf(page);
			if (high !== undefined) least.set(left, Math.min(high, least.get(left) ?? high));
		}
	return blocks.map((block) => {
		const high = least.get(spreadOf(block.pieces[0].page).left);
		const own = heights.get(block);
		if (block.drawnWith || high === undefined || own === undefined) return block;
		// Over both pages it may have room for larger ones.
		return own > high || block.pieces.length > 1 ? { ...block, letters: high } : block;
	});
}

/** How high the letters of a block's title are where nothing else matters; nothing where it has none that is lettered. */
function titleLettersOf(
	plan: Plan,
	{ as, drawnWith, form: id, pieces: [{ rect }], letters }: Block
): number | undefined {
	if (letters !== undefined) return letters;
	const form = formById(id);
	const title = as.title ?? (as.part && 'Week 52');
	if (!form?.rules.includes(titleStyle) || !title) return undefined;
	const setting = settingOf({ ...plan, ...drawnWith }, as, form);
	switch (titleStyle.of(setting) ?? 'lettered') {
		case 'lettered':
			return fitTitle(setting.hand, [title], rect.w)?.letter.h;
		case 'two-lines':
			return fitTitle(setting.hand, twoLines(title) ?? [title], rect.w)?.letter.h;
		default:
			return undefined;
	}
}
