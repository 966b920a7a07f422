/** What an ink does on paper until it is dry, in seconds. */
export interface Drying {
	/** Until a hand may lie on it and the page may be turned. */
	readonly touch: number;
	/** Until something may be ruled or written over it. */
	readonly over: number;
	/** Until an eraser may go over it. */
	readonly erase: number;
}

/** Kinds of ink, not products. */
export const inkKinds = [
	'graphite',
	'crayon',
	'liner',
	'dye',
	'gel',
	'brush',
	'marker',
	'alcohol',
	'acrylic',
	'watercolour'
] as const;

export type InkKind = (typeof inkKinds)[number];

export interface InkFacts extends Drying {
	readonly name: string;
	/** What to mind where it is used. */
	readonly mind?: string;
}

/** Usual times by kind, from memory of the trade; papers differ, so a person corrects them. */
export const inkFacts: Readonly<Record<InkKind, InkFacts>> = {
	graphite: { name: 'pencil', touch: 0, over: 0, erase: 0 },
	crayon: { name: 'coloured pencil', touch: 0, over: 0, erase: 0 },
	liner: { name: 'fine liner', touch: 30, over: 60, erase: 180 },
	dye: {
		name: 'fountain pen',
		touch: 60,
		over: 120,
		erase: 600,
		mind: 'It runs when it gets wet.'
	},
	gel: { name: 'gel pen', touch: 120, over: 180, erase: 600, mind: 'Not over acrylic: it flakes.' },
	brush: {
		name: 'brush pen',
		touch: 60,
		over: 180,
		erase: 600,
		mind: 'A second layer on a wet one roughens the paper.'
	},
	marker: {
		name: 'water-based marker',
		touch: 60,
		over: 180,
		erase: 600,
		mind: 'A second layer on a wet one roughens the paper.'
	},
	alcohol: {
		name: 'alcohol marker',
		touch: 30,
		over: 60,
		erase: 300,
		mind: 'It goes through: lay a sheet beneath, and want nothing on the page behind.'
	},
	acrylic: { name: 'acrylic marker', touch: 120, over: 300, erase: 600 },
	watercolour: {
		name: 'watercolour',
		touch: 300,
		over: 900,
		erase: 1800,
		mind: 'Not over a line that is not waterproof; black dries paler.'
	}
};
