/** A picture of black and white dots; each row takes whole bytes, its first dot the highest bit, 1 for black. */
export interface Bitmap {
	readonly width: number;
	readonly height: number;
	readonly bits: Uint8Array;
}

/** Bytes of a row. */
export const stride = (width: number) => Math.ceil(width / 8);

/** A bitmap of what is darker than half of white; pixels are red, green, blue and opacity on white. */
export function bitmapOf(pixels: Uint8Array, width: number, height: number): Bitmap {
	const bits = new Uint8Array(stride(width) * height);
	for (let y = 0; y < height; y++)
		for (let x = 0; x < width; x++) {
			const at = 4 * (y * width + x);
			const [red = 255, green = 255, blue = 255] = pixels.subarray(at, at + 3);
			// Luma of ITU-R BT.601.
			if (0.299 * red + 0.587 * green + 0.114 * blue >= 128) continue;
			const byte = y * stride(width) + (x >> 3);
			bits[byte] = (bits[byte] ?? 0) | (0x80 >> (x & 7));
		}
	return { width, height, bits };
}

/** Bitmaps of one height side by side, from left to right. */
export function joined(parts: readonly Bitmap[], height: number): Bitmap {
	const width = parts.reduce((sum, part) => sum + part.width, 0);
	const bits = new Uint8Array(stride(width) * height);
	let start = 0;
	for (const part of parts) {
		for (let y = 0; y < part.height; y++)
			for (let x = 0; x < part.width; x++) {
				if (!isBlack(part, x, y)) continue;
				const byte = y * stride(width) + ((start + x) >> 3);
				bits[byte] = (bits[byte] ?? 0) | (0x80 >> ((start + x) & 7));
			}
		start += part.width;
	}
	return { width, height, bits };
}

/** Whether a dot is black. */
export function isBlack({ width, bits }: Bitmap, x: number, y: number): boolean {
	return (((bits[y * stride(width) + (x >> 3)] ?? 0) << (x & 7)) & 0x80) !== 0;
}

/** A portable bitmap (PBM, “P4”, of the Netpbm formats): what label printers take. */
export function pbmOf({ width, height, bits }: Bitmap): Uint8Array {
	const head = new TextEncoder().encode(`P4\n${width} ${height}\n`);
	const file = new Uint8Array(head.length + bits.length);
	file.set(head);
	file.set(bits, head.length);
	return file;
}

/**
 * A bitmap as a BMP file that browsers show: 1 bit a dot, 8 dots a millimetre, rows from the lowest up in whole groups of four
 * bytes (BITMAPINFOHEADER).
 */
export function bmpOf({ width, height, bits }: Bitmap): Uint8Array {
	const row = 4 * Math.ceil(width / 32);
	const headLength = 62;
	const file = new Uint8Array(headLength + row * height);
	const view = new DataView(file.buffer);
	file.set([0x42, 0x4d]);
	view.setUint32(2, file.length, true);
	view.setUint32(10, headLength, true);
	view.setUint32(14, 40, true);
	view.setInt32(18, width, true);
	view.setInt32(22, height, true);
	view.setUint16(26, 1, true);
	view.setUint16(28, 1, true);
	view.setUint32(34, row * height, true);
	view.setInt32(38, 8000, true);
	view.setInt32(42, 8000, true);
	view.setUint32(46, 2, true);
	// The two colours: 0 is white, 1 is black.
	view.setUint32(54, 0x00ffffff, true);
	for (let y = 0; y < height; y++)
		file.set(
			bits.subarray(y * stride(width), (y + 1) * stride(width)),
			headLength + (height - 1 - y) * row
		);
	return file;
}
