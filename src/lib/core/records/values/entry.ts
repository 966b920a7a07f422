import type { Holds } from '../../draw';

/** Something that was filled in: of which wish, about what (`subjectKey`), and what stands there. */
export interface Entry {
	readonly wish: string;
	readonly about: string;
	readonly holds: Holds;
	/** In the plain form of `readValue`, whatever the person's language. */
	readonly value: string;
}

/** An entry that is set, or with an empty value taken away. */
export type Change = Entry;

/** What tells an entry from all others of a month. */
export function entryKey({ wish, about }: Pick<Entry, 'wish' | 'about'>): string {
	return `${wish} ${about}`;
}

/** How full something became, from empty to too small. */
export const fullness = ['empty', 'quarter', 'half', 'full', 'over'] as const;

export type Full = (typeof fullness)[number];

/** Changes with further ones made after them: of each entry the last. */
export function withChanges(before: readonly Change[], after: readonly Change[]): Change[] {
	return [...new Map([...before, ...after].map((one) => [entryKey(one), one])).values()];
}
