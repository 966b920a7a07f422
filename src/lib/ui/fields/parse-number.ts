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

/** Reads a number with a decimal point or comma. */
export function parseNumber(text: string, { least, most, whole }: Limits): Typed {
	const range = `${whole ? 'a whole number' : 'a number'} from ${least} to ${most}`;
	const trimmed = text.trim();
	if (!/^[-+]?\d+([.,]\d+)?$/.test(trimmed)) return { ok: false, message: `Type ${range}.` };
	const value = Number(trimmed.replace(',', '.'));
	if (whole && !Number.isInteger(value)) return { ok: false, message: `Type ${range}.` };
	if (value < least || value > most)
		return { ok: false, message: `${trimmed} is out of range: type ${range}.` };
	return { ok: true, value };
}
