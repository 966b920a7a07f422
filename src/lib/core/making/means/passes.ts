/** What a hand does on a page in one go, in the usual order. */
export const passNames = {
	cut: 'Cut',
	pencil: 'Pencil',
	tint: 'Tint',
	rule: 'Rule',
	letter: 'Letter',
	write: 'Write',
	picture: 'Picture',
	paste: 'Paste',
	erase: 'Erase',
	look: 'Look over'
} as const;

export type PassId = keyof typeof passNames;

/** Passes with an ink of a person's choice. */
export const inkedPasses = ['tint', 'rule', 'letter', 'write'] as const;

export type InkedPass = (typeof inkedPasses)[number];

export function isInked(pass: PassId): pass is InkedPass {
	return inkedPasses.some((inked) => inked === pass);
}
