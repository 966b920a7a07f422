/** What a colour is for. */
export const roles = ['lines', 'lettering', 'rest', 'accent', 'key'] as const;

export type Role = (typeof roles)[number];

/** A colour as #rrggbb. */
export type Colour = string;

/** The colours of a month by what they are for, and what runs through its pages, in words. */
export interface Theme extends Readonly<Record<Role, Colour>> {
	readonly motif?: string;
}

/** Roles in a person's words. */
export const roleNames: Readonly<Record<Role, string>> = {
	lines: 'lines and writing',
	lettering: 'drawn letters',
	rest: 'days of rest',
	accent: 'accent',
	key: 'keys'
};
