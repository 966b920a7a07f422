import { expect, test } from 'vitest';
import { presets } from '../../src/lib/core/paper';

/** A size of a series, by halving the longer side and rounding down to whole millimetres. */
function halved(width: number, height: number, times: number): { width: number; height: number } {
	return times === 0 ? { width, height } : halved(Math.floor(height / 2), width, times - 1);
}

// ISO 216: A0 is 841 × 1189 mm, each further size half of the one before, rounded down.
test('the A5 preset is A5 of ISO 216', () => {
	const a5 = halved(841, 1189, 5);
	expect(a5).toEqual({ width: 148, height: 210 });
	expect(presets.find(({ id }) => id === 'a5')?.paper.pageMm).toEqual(a5);
});

// JIS P 0138: B0 is 1030 × 1456 mm (from memory), halved in the same way.
test('the small preset is B6 of JIS P 0138', () => {
	const b6 = halved(1030, 1456, 6);
	expect(b6).toEqual({ width: 128, height: 182 });
	expect(presets.find(({ id }) => id === 'b6')?.paper.pageMm).toEqual(b6);
});
