import type { Notebook } from '../../paper';
import { sheetsMm, type SheetName } from './sheets';

/** Where the pages of a spread lie on a sheet that is laid across, in mm from its upper left corner. */
export interface SheetPlaces {
	readonly width: number;
	readonly height: number;
	readonly left: { readonly x: number; readonly y: number };
	readonly right: { readonly x: number; readonly y: number };
}

/** Two pages side by side in the middle of a sheet laid across; undefined where they are too large for it. */
export function placesOn(sheet: SheetName, page: Notebook['pageMm']): SheetPlaces | undefined {
	const width = sheetsMm[sheet].height;
	const height = sheetsMm[sheet].width;
	const x = (width - 2 * page.width) / 2;
	const y = (height - page.height) / 2;
	if (x < 0 || y < 0) return undefined;
	return { width, height, left: { x, y }, right: { x: x + page.width, y } };
}
