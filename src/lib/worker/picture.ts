import type { Picture } from '$lib/core/sight';

/** More pixels tell nothing more of dots, and less is done sooner. */
const widest = 1300;
const most = { megabytes: 30, megapixels: 40 };

/** A picture in pixels, or why it is not taken. */
export type Decoded = (Picture & { readonly scale: number }) | { readonly says: string };

/** A file as pixels, not wider than is of use, and how much smaller it is than the file's; for a worker. */
export async function decoded(file: Blob): Promise<Decoded> {
	if (file.size > most.megabytes * 2 ** 20)
		return { says: `The file is larger than ${most.megabytes} MB.` };
	let bitmap: ImageBitmap;
	try {
		bitmap = await createImageBitmap(file);
	} catch {
		return {
			says: 'This browser cannot read the file as a picture. Save it as JPEG or PNG and try again.'
		};
	}
	if (bitmap.width * bitmap.height > most.megapixels * 1e6) {
		bitmap.close();
		return { says: `The picture has more than ${most.megapixels} megapixels.` };
	}
	// A page lies across its picture the short way, however it is turned.
	const scale = Math.min(1, widest / Math.min(bitmap.width, bitmap.height));
	const [width = 0, height = 0] = [bitmap.width, bitmap.height].map((side) =>
		Math.round(side * scale)
	);
	if (!width || !height) return { says: 'The picture is empty.' };
	const canvas = new OffscreenCanvas(width, height);
	const context = canvas.getContext('2d', { willReadFrequently: true });
	if (!context) return { says: 'This browser cannot draw the picture.' };
	context.drawImage(bitmap, 0, 0, width, height);
	bitmap.close();
	return { width, height, scale, rgba: context.getImageData(0, 0, width, height).data };
}
