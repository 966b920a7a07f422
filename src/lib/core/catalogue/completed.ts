import type { Wish } from '../forms';
import { kindById } from './kinds';

/** A wish as it is when its kind is picked on screen: what it does not say is what its kind starts with. */
export function completed(wish: Wish): Wish {
	const said = Object.entries(wish).filter(([, value]) => value !== undefined);
	return { ...kindById(wish.kind)?.start, ...wish, ...Object.fromEntries(said) };
}
