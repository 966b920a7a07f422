/** What was typed into a number field: a number inside the limits, or what is wrong with it. */
export type Typed =
	{ readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

/** Limits of a number field. */
export interface Limits {
	readonly least: number;
	readonly most: number;
	/** Whole numbers only, or any. */
	readonly whole: boolean;
}

const fractions: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75 };

/** Reads a number with a decimal point or comma, or with a fraction ("4½"); a unit behind it is passed over. */
export function parseNumber(text: string, { least, most, whole }: Limits): Typed {
	const range = `${whole ? 'a whole number' : 'a number'} from ${least} to ${most}`;
	const trimmed = text.trim();
	const match = /^([-+]?\d*(?:[.,]\d+)?)\s*([½¼¾]?)\s*\p{L}*$/u.exec(trimmed);
	const [, digits = '', fraction = ''] = match ?? [];
	if (!match || (digits === '' && fraction === '')) return { ok: false, message: `Type ${range}.` };
	const base = Number(digits.replace(',', '.'));
	const value = base + (digits.startsWith('-') ? -1 : 1) * (fractions[fraction] ?? 0);
	if (!Number.isFinite(value)) return { ok: false, message: `Type ${range}.` };
	if (whole && !Number.isInteger(value)) return { ok: false, message: `Type ${range}.` };
	if (value < least || value > most)
		return { ok: false, message: `${trimmed} is out of range: type ${range}.` };
	return { ok: true, value };
}
