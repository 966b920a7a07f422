/** What a notebook's paper is and what it was seen to bear. */
export interface PaperKind {
	/** Weight in g/m². */
	readonly weight?: number;
	readonly bearsPaint?: boolean;
	readonly bearsAlcoholInk?: boolean;
}

/** From this weight on, in g/m², paper takes light paint (common practice). */
const thick = 160;
/** Below this weight ink shows through (common practice). */
const thin = 90;

/** Advice that follows from the paper; what was tried counts more than the weight. */
export function paperHints(paper: PaperKind): string[] {
	const hints: string[] = [];
	const { weight } = paper;
	if (
		paper.bearsPaint === false ||
		(paper.bearsPaint === undefined && weight !== undefined && weight < thick)
	)
		hints.push('Keep to pens and pencils here: light paint would wrinkle this paper.');
	else if (paper.bearsPaint || (weight !== undefined && weight >= thick))
		hints.push(
			'This paper takes light paint in thin layers. Tint before you write, and let it dry before you rule.'
		);
	if (
		paper.bearsAlcoholInk === false ||
		(paper.bearsAlcoholInk === undefined && weight !== undefined)
	)
		hints.push(
			paper.bearsAlcoholInk === false
				? 'Alcohol ink bleeds through: leave the back of such a page free.'
				: 'Alcohol ink bleeds through most journal paper: try it on a page at the back first.'
		);
	if (weight !== undefined && weight < thin)
		hints.push(
			'Dark ink will show on the other side of the leaf: put light pages back to back with full ones.'
		);
	return hints;
}
