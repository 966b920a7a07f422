import { expect, test } from 'vitest';
import { a5 } from '../../../../tests/support/arbitraries';
import { geometryOf } from '../../core/paper';
import { measuresOf } from './measures';

const byLetter = (letter: string, notebook = a5) => {
	const found = measuresOf(notebook).find((measure) => measure.letter === letter);
	if (!found) throw new Error(letter);
	return found;
};

test('each letter stands once, and nothing counts as measured before it was', () => {
	const measures = measuresOf(a5);
	expect(measures.map(({ letter }) => letter)).toEqual(['A', 'B', 'C', 'D', 'E', 'F', 'G']);
	expect(measures.slice(1).every(({ value }) => value === undefined)).toBe(true);
	expect(byLetter('A').value).toBe(100);
});

test('what was not measured is not kept as if it were, and a measure can be forgotten', () => {
	const notebook = { ...a5, ...byLetter('D').set(9) };
	expect(notebook.marginsMm).toEqual({ right: { x: 9 } });
	const both = { ...notebook, ...byLetter('C', notebook).set(7) };
	expect(both.marginsMm).toEqual({ left: { y: 7 }, right: { x: 9 } });
	expect(byLetter('D', both).set(undefined).marginsMm).toEqual({ left: { y: 7 }, right: {} });
	expect(geometryOf(both).registerMm).toEqual({ x: 5, y: -2 });
});

test('the length of 20 squares sets the pitch; the last dots are kept as a check', () => {
	expect(byLetter('A').set(99)).toEqual({ pitchMm: 4.95 });
	expect(byLetter('G').set(6).farMarginsMm).toEqual({ right: { x: 6 } });
});

test('a measure is drawn from the paper’s edge to the dot it is about', () => {
	const { from, to } = byLetter('B');
	expect(from.x * a5.pitchMm).toBeCloseTo(-4);
	expect(to.x).toBe(0);
	const far = byLetter('F');
	expect(far.from.x).toBe(28);
	expect((far.to.x - far.from.x) * a5.pitchMm).toBeCloseTo(4);
});
