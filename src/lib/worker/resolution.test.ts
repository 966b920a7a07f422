import { crc32 } from 'node:zlib';
import { expect, test } from 'vitest';
import { resolutionOf } from './resolution';

const text = (letters: string) => [...letters].map((letter) => letter.charCodeAt(0));
const long = (value: number) => [24, 16, 8, 0].map((shift) => (value >>> shift) & 255);

/** The beginning of a JPEG with its density (ITU-T T.871, 10.1: units, then across and down, two bytes each). */
const jpeg = (unit: number, across: number, down: number) =>
	new Uint8Array([
		...[0xff, 0xd8, 0xff, 0xe0, 0, 16, ...text('JFIF'), 0, 1, 2, unit],
		...[...long(across).slice(2), ...long(down).slice(2), 0, 0, 0xff, 0xd9]
	]);

/** A PNG of one pixel with its density (W3C PNG, 11.3.4.3: across, down, unit 1 is the metre). */
function png(perMetre: number): Uint8Array<ArrayBuffer> {
	const chunk = (kind: string, data: number[]) => {
		const named = [...text(kind), ...data];
		return [...long(data.length), ...named, ...long(crc32(new Uint8Array(named)))];
	};
	return new Uint8Array([
		...[137, ...text('PNG'), 13, 10, 26, 10],
		...chunk('IHDR', [...long(1), ...long(1), 8, 2, 0, 0, 0]),
		...chunk('pHYs', [...long(perMetre), ...long(perMetre), 1]),
		...chunk('IEND', [])
	]);
}

test.each([
	['a JPEG by the inch', jpeg(1, 300, 300), 300 / 25.4],
	['a JPEG by the centimetre', jpeg(2, 118, 118), 11.8],
	['a PNG by the metre', png(11_811), 11.811]
])('%s says its resolution', async (_, bytes, perMm) => {
	expect(await resolutionOf(new Blob([bytes]))).toBeCloseTo(perMm, 3);
});

test.each([
	['a JPEG that tells a proportion only', new Blob([jpeg(0, 1, 1)])],
	['one that is not the same across and down', new Blob([jpeg(1, 300, 600)])],
	['no picture', new Blob(['no picture at all'])],
	['nothing', new Blob([])]
])('%s has none', async (_, file) => {
	expect(await resolutionOf(file)).toBeUndefined();
});
