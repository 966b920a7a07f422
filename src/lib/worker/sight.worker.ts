import { greyOf, measurePage, type MeasuredPage } from '$lib/core/sight';
import type { Notebook, Side } from '$lib/core/paper';

/** A picture of a page to be measured. */
export interface SightRequest {
	readonly picture: Blob;
	readonly side: Side;
	readonly pageMm: Notebook['pageMm'];
}

/** What was measured, and the size in pixels of the picture in which the dots are told. */
export type Sighted = Omit<MeasuredPage, 'warp'> & {
	readonly picture: { readonly width: number; readonly height: number };
};

export type SightMessage =
	| { readonly kind: 'progress'; readonly share: number }
	| { readonly kind: 'measured'; readonly page: Sighted }
	| { readonly kind: 'refused'; readonly says: string };

/** More pixels tell nothing more of dots, and less is done sooner. */
const widest = 1300;
const most = { megabytes: 30, megapixels: 40 };

self.onmessage = async ({ data }: MessageEvent<SightRequest>) => {
	const tell = (message: SightMessage) => self.postMessage(message);
	try {
		tell(await read(data, (share) => tell({ kind: 'progress', share })));
	} catch {
		tell({
			kind: 'refused',
			says: 'This browser cannot read the file as a picture. Save it as JPEG or PNG and try again.'
		});
	}
};

async function read(
	{ picture, side, pageMm }: SightRequest,
	progress: (share: number) => void
): Promise<SightMessage> {
	if (picture.size > most.megabytes * 2 ** 20)
		return { kind: 'refused', says: `The file is larger than ${most.megabytes} MB.` };
	const bitmap = await createImageBitmap(picture);
	if (bitmap.width * bitmap.height > most.megapixels * 1e6) {
		bitmap.close();
		return { kind: 'refused', says: `The picture has more than ${most.megapixels} megapixels.` };
	}
	const scale = Math.min(1, widest / bitmap.width);
	const [width, height] = [bitmap.width, bitmap.height].map((side) => Math.round(side * scale));
	if (!width || !height) return { kind: 'refused', says: 'The picture is empty.' };
	const canvas = new OffscreenCanvas(width, height);
	const context = canvas.getContext('2d', { willReadFrequently: true });
	if (!context) return { kind: 'refused', says: 'This browser cannot draw the picture.' };
	context.drawImage(bitmap, 0, 0, width, height);
	bitmap.close();
	const { data } = context.getImageData(0, 0, width, height);
	const found = measurePage(greyOf(data, width, height), side, pageMm, progress);
	if ('says' in found) return { kind: 'refused', says: found.says };
	const { warp: _, ...page } = found;
	return { kind: 'measured', page: { ...page, picture: { width, height } } };
}
