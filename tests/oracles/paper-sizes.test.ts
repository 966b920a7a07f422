import { expect, test } from 'vitest';
import { presets } from '../../src/lib/core/paper';

/** A size of a series, by halving the longer side and rounding down to whole millimetres. */
function halved(width: number, height: number, times: number): { width: number; height: number } {
	return times === 0 ? { width, height } : halved(Math.floor(height / 2), width, times - 1);
}

const sizeOf = (id: string) => presets.find((preset) => preset.id === id)?.paper.pageMm;

// ISO 216: A0 is 841 × 1189 mm, each further size half of the one before, rounded down.
test.each([
	['a4', 4],
	['a5', 5],
	['a6', 6]
] as const)('the preset %s is A%i of ISO 216, lying too', (id, times) => {
	const size = halved(841, 1189, times);
	expect(sizeOf(id)).toEqual(size);
	const lying = sizeOf(`${id}-landscape`);
	if (lying) expect(lying).toEqual({ width: size.height, height: size.width });
});

// JIS P 0138: B0 is 1030 × 1456 mm (from memory), halved in the same way.
test.each([
	['b5', 5],
	['b6', 6]
] as const)('the preset %s is B%i of JIS P 0138', (id, times) => {
	expect(sizeOf(id)).toEqual(halved(1030, 1456, times));
});

test('a preset has no more squares than its page, and leaves no margin of three squares', () => {
	for (const { id, paper } of presets) {
		const { columns, rows, pitchMm, pageMm } = paper;
		for (const [squares, mm] of [
			[columns, pageMm.width],
			[rows, pageMm.height]
		] as const) {
			expect(squares * pitchMm, id).toBeLessThanOrEqual(mm);
			expect((squares + 3) * pitchMm, id).toBeGreaterThan(mm);
		}
	}
});
