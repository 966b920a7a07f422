/** How a table of a file stands to what is here. */
export interface Compared {
	readonly table: string;
	readonly added: number;
	readonly changed: number;
	readonly same: number;
}

/** Tables in a person's words. */
export const tableWords: Readonly<Record<string, string | undefined>> = {
	notebook: 'Notebooks',
	month: 'Months',
	wish: 'Pages of months',
	month_past: 'What months were before',
	month_making: 'How far months are made',
	entry: 'What was filled in',
	photograph: 'Photographs of pages',
	month_set: 'Sets to begin with',
	own_kind: 'Kinds of your own',
	own_font: 'Fonts of your own',
	setting: 'Hand, inks, evenings, language',
	printer: 'Printers'
};

/** The comparison in an answer; undefined where there is none. */
export function comparedIn(body: unknown): Compared[] | undefined {
	const tables =
		typeof body === 'object' && body !== null && 'tables' in body ? body.tables : undefined;
	return Array.isArray(tables) && tables.every(isCompared) ? tables : undefined;
}

/** Something that could not be read, and so was left out: the table or part that it stands in, its name, why. */
export interface Left {
	readonly what: string;
	readonly name: string;
	readonly reason: string;
}

/** What an answer says was left out. */
export function leftIn(body: unknown): readonly Left[] {
	const left = typeof body === 'object' && body !== null && 'left' in body ? body.left : [];
	return Array.isArray(left) ? left.filter(isLeft) : [];
}

function isLeft(value: unknown): value is Left {
	return (
		typeof value === 'object' &&
		value !== null &&
		'what' in value &&
		'name' in value &&
		'reason' in value
	);
}

function isCompared(value: unknown): value is Compared {
	return (
		typeof value === 'object' &&
		value !== null &&
		'table' in value &&
		'added' in value &&
		'changed' in value &&
		'same' in value
	);
}

/** New and different rows of all tables. */
export function changesIn(tables: readonly Compared[]): { added: number; changed: number } {
	return {
		added: tables.reduce((sum, { added }) => sum + added, 0),
		changed: tables.reduce((sum, { changed }) => sum + changed, 0)
	};
}
