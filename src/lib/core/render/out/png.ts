import { renderAsync } from '@resvg/resvg-js';
import { crc32 } from 'node:zlib';
import type { Faces } from '../fonts/faces';
import type { PageArt } from '../pages/page-art';
import { renderSvg } from './svg';

/** Resolutions in dots per inch that a picture may have: from a screen's to a good printer's. */
export const resolutions = { least: 50, most: 1200 };

/** A page as a PNG on white, at a resolution in dots per inch, which the file tells to who prints it. */
export async function renderPng(art: PageArt, faces: Faces, dpi: number): Promise<Uint8Array> {
	const picture = await renderAsync(renderSvg(art, faces, true), {
		fitTo: { mode: 'width', value: Math.round((art.width / 25.4) * dpi) },
		background: '#ffffff',
		font: { loadSystemFonts: false }
	});
	return withResolution(picture.asPng(), dpi);
}

/**
 * A PNG with its resolution, in the chunk that the format has for it (PNG specification, pHYs: pixels
 * per metre across and down, unit 1). Chunks lie behind the signature of 8 bytes; the header takes 25.
 */
function withResolution(png: Uint8Array, dpi: number): Uint8Array {
	const headerEnd = 8 + 25;
	const perMetre = Math.round(dpi / 0.0254);
	const chunk = Buffer.alloc(21);
	chunk.writeUInt32BE(9, 0);
	chunk.write('pHYs', 4, 'latin1');
	chunk.writeUInt32BE(perMetre, 8);
	chunk.writeUInt32BE(perMetre, 12);
	chunk.writeUInt8(1, 16);
	chunk.writeUInt32BE(crc32(chunk.subarray(4, 17)), 17);
	return Buffer.concat([png.subarray(0, headerEnd), chunk, png.subarray(headerEnd)]);
}
