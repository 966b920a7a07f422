import { mayFace } from '../choices/choices';
import type { Part } from '../choices/parts';

/**
 * Parts that must face each other, the earlier one first; what is pinned to a page is left to its pin.
 * Weekly pages stand on several pages, so nothing can face them.
 */
export function facingPairs(parts: readonly Part[]): (readonly [Part, Part])[] {
	return parts.flatMap((part, index) => {
		if (part.label !== undefined) return [];
		const other = parts.findIndex(
			({ wish, label }) => label === undefined && wish.id === part.wish.facing
		);
		const partner = parts[other];
		if (!partner || other === index || part.wish.pin || partner.wish.pin) return [];
		if (!mayFace(part.wish) || !mayFace(partner.wish)) return [];
		return [other > index ? ([part, partner] as const) : ([partner, part] as const)];
	});
}
