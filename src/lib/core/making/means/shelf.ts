import { inkFacts, type Drying, type InkKind } from './inks';
import { isInked, type InkedPass, type PassId } from './passes';

/** With what a person does a pass; times that were found on the paper replace the usual ones. */
export interface Ink {
	readonly kind: InkKind;
	readonly found?: Partial<Drying>;
	/** What was seen on the back of the test page. */
	readonly back?: Back;
	/** Whether it held when water went over it. */
	readonly waterproof?: boolean;
}

/** What is seen of an ink on the back of the leaf. */
export const backs = ['clean', 'shows', 'bleeds'] as const;

export type Back = (typeof backs)[number];

/** A person's inks by what they are used for. */
export type Shelf = Readonly<Record<InkedPass, Ink>>;

export const usualShelf: Shelf = {
	tint: { kind: 'brush' },
	rule: { kind: 'liner' },
	letter: { kind: 'liner' },
	write: { kind: 'liner' }
};

const dry: Drying = { touch: 0, over: 0, erase: 0 };

/** Glue stick or paste under paper, from memory of the trade: a book that is closed on it sticks. */
const glued: Drying = { touch: 300, over: 300, erase: 300 };

/** How long what a pass leaves on the paper stays wet, in seconds. */
export function dryingOf(shelf: Shelf, pass: PassId): Drying {
	if (pass === 'paste') return glued;
	// A picture is coloured with what tints.
	const inked = pass === 'picture' ? 'tint' : pass;
	if (!isInked(inked)) return dry;
	const { kind, found } = shelf[inked];
	const { touch, over, erase } = inkFacts[kind];
	return { touch, over, erase, ...found };
}
