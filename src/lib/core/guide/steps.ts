import type { ArcMark, TextMark, Tone } from '../draw';
import type { Dot } from '../paper';
import type { Place, TickStep } from './place';

/** Further strokes like one: how many, and how many squares each stands from the one before. */
export interface Repeat {
	readonly times: number;
	readonly every: number;
	readonly direction: 'right' | 'down';
}

/** A stroke between two dots, and others like it. */
export interface RuleStep {
	readonly kind: 'rule';
	readonly begin: Place;
	readonly end: Place;
	readonly repeat?: Repeat;
}

/** An area to tint, from corner to corner, before anything is ruled or written on it, and others like it. */
export interface TintStep {
	readonly kind: 'tint';
	readonly tone: Tone;
	readonly begin: Place;
	readonly end: Place;
	readonly repeat?: Repeat;
}

/** Something to write, after all ruling: each text right below its dot. */
export interface WriteStep {
	readonly kind: 'write';
	readonly style: TextMark['style'];
	readonly begin: Place;
	readonly texts: readonly { readonly text: string; readonly at: Dot }[];
}

/** A circle, or its upper half: the compass stands on one dot and is opened to another. */
export interface CompassStep {
	readonly kind: 'compass';
	readonly begin: Place;
	readonly end: Place;
	readonly part: ArcMark['part'];
	/** How wide the compass is open, where the dots' distance is known. */
	readonly mm?: number;
}

export type Step = TickStep | RuleStep | CompassStep | TintStep | WriteStep;
