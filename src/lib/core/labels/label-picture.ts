import { renderAsync } from '@resvg/resvg-js';
import type { Plan } from '../fit';
import type { Faces } from '../render/fonts/faces';
import { renderSvg } from '../render/out/svg';
import { bitmapOf, type Bitmap } from './bitmap';
import { labelArt } from './label-art';
import type { Label } from './labels';

/** Dots of a millimetre of tape, at 203 dots per inch. */
export const dotsPerMm = 8;

/** Dots of a length in squares: rounded once, from the product. */
export function dotsOf(squares: number, pitchMm: number): number {
	return Math.round(squares * pitchMm * dotsPerMm);
}

/** A label as it is printed, black on white. */
export async function labelPicture(plan: Plan, label: Label, faces: Faces): Promise<Bitmap> {
	const { pitchMm } = plan.notebook;
	const width = dotsOf(label.mark.w, pitchMm);
	const height = dotsOf(label.mark.h, pitchMm);
	// The paper is the dots', so that they are not stretched to it.
	const art = labelArt(plan, label, { width: width / dotsPerMm, height: height / dotsPerMm });
	const picture = await renderAsync(renderSvg(art, faces, true), {
		fitTo: { mode: 'width', value: width },
		background: '#ffffff',
		font: { loadSystemFonts: false }
	});
	return bitmapOf(picture.pixels, width, height);
}
