import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyPlan, documentWith } from '../../../../../tests/support/arbitraries';
import { often } from '../../../../../tests/support/effort';
import { planRun } from '../../fit';
import { readPlanFile, toDocument, toPlan } from '..';

const reasonsOf = (value: unknown) => {
	const read = readPlanFile(typeof value === 'string' ? value : JSON.stringify(value));
	return read.ok ? [] : read.reasons;
};

describe('a plan in a file', () => {
	test('comes back as it was, with the same run', () => {
		fc.assert(
			fc.property(anyPlan, (plan) => {
				const read = readPlanFile(JSON.stringify(toDocument(plan)));
				if (!read.ok) throw new Error(read.reasons.join());
				expect(planRun(toPlan(read.document))).toEqual(planRun(plan));
			}),
			{ numRuns: often(60, 15) }
		);
	});

	test('of a newer format is refused with words', () => {
		const [reason] = reasonsOf(documentWith([], { version: 7 }));
		expect(reason).toContain('version 7 of the format; this one reads up to 2');
	});

	test.each(['', '[]', '{', 'null', '{"format":"other"}', '"text"'])('“%s” is none', (text) => {
		expect(reasonsOf(text)).toHaveLength(1);
	});

	test('with faults names each field, and not more than one can read', () => {
		const wishes = Array.from({ length: 20 }, () => ({
			id: 'x',
			kind: 'cover',
			size: { w: -1, h: 1 }
		}));
		const reasons = reasonsOf(documentWith(wishes));
		expect(reasons[0]).toMatch(/^wishes\[\d+\]\.(size\.w|id) /);
		expect(reasons).toHaveLength(9);
		expect(reasons.at(-1)).toMatch(/^and \d+ more$/);
	});

	test('never breaks, whatever the text', () => {
		fc.assert(
			fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
				expect(readPlanFile(text).ok).toBe(false);
			})
		);
	});
});
