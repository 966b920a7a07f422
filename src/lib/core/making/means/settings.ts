import { usualEvenings, type Evenings } from './evenings';
import type { OwnPace } from './pace';
import { usualShelf, type Shelf } from './shelf';
import { usualTools, type Tools } from './tools';

/** What a person says of how they work: it holds for every month. */
export interface MakingSettings {
	readonly evenings: Evenings;
	readonly shelf: Shelf;
	readonly tools: Tools;
	/** Rules that are switched off. */
	readonly off: readonly string[];
	/** Minutes that a picture takes, such as that of a cover. */
	readonly pictureMinutes: number;
	/** Whether they write with the left hand. */
	readonly leftHanded?: boolean | undefined;
	/** How fast they are, as far as it is known from what they ticked off. */
	readonly pace: OwnPace;
}

export const usualMaking: MakingSettings = {
	evenings: usualEvenings,
	shelf: usualShelf,
	tools: usualTools,
	off: [],
	pictureMinutes: 20,
	pace: {}
};
