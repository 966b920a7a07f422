/** Paper that printers take, in mm: A4 of ISO 216 and US Letter (8.5 × 11 inches). */
export const sheetsMm = {
	a4: { width: 210, height: 297 },
	letter: { width: 215.9, height: 279.4 }
} as const;

export type SheetName = keyof typeof sheetsMm;

/** The paper of a country's printers: Letter in the United States and Canada (from memory), A4 elsewhere. */
export function usualSheet(locale: string): SheetName {
	const { region = '' } = new Intl.Locale(locale).maximize();
	return ['US', 'CA'].includes(region) ? 'letter' : 'a4';
}
