/** What the two bars of the check sheet measure on a print, in mm; both are 100 mm long in the file. */
export interface PrintedBars {
	readonly acrossMm: number;
	readonly downMm: number;
}

/** Length of each bar of the check sheet, in mm. */
export const barMm = 100;
/** Limits for a print that is off by itself; further off, the print was made to fit the sheet. */
export const leastBarMm = 90;
export const mostBarMm = 110;

/** Factors by which a file must be larger so that its print is true: 100 / measured. */
export function correctionFor({ acrossMm, downMm }: PrintedBars): { x: number; y: number } {
	return { x: barMm / acrossMm, y: barMm / downMm };
}
