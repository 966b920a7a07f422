import fc from 'fast-check';
import loadHighs from 'highs';
import { expect, test } from 'vitest';
import type { Goal } from '../../src/lib/core/forms';
import { leveled } from '../../src/lib/core/goals';
import { anyGoals } from '../support/any-goals';
import { often } from '../support/effort';

// Referee: HiGHS, which is given the minutes of each goal on each day as unknowns, and which days it has besides its own.
const highs = await loadHighs();

/** The fewest days to move, as an integer program in the format of CPLEX LP; it shares no code with the search. */
function model(goals: readonly Goal[], days: number, minutes: number): string {
	const rows: string[] = [];
	const bits: string[] = [];
	const all = Array.from({ length: days }, (_, at) => at + 1);
	for (const [at, { from, to, slack = 0, hours = 0 }] of goals.entries()) {
		rows.push(`${all.map((day) => `x${at}_${day}`).join(' + ')} = ${60 * hours}`);
		for (const day of all) {
			if (from <= day && day <= to) continue;
			const bit = `y${at}_${day}`;
			bits.push(bit);
			rows.push(`x${at}_${day} - ${minutes} ${bit} <= 0`);
			if (day > days - slack) rows.push(`${bit} = 0`);
			// A day more is one beside those that the goal has.
			if (day < from - 1) rows.push(`${bit} - y${at}_${day + 1} <= 0`);
			if (day > to + 1) rows.push(`${bit} - y${at}_${day - 1} <= 0`);
		}
	}
	for (const day of all)
		rows.push(`${goals.map((_, at) => `x${at}_${day}`).join(' + ')} <= ${minutes}`);
	return [
		'Minimize',
		` obj: ${bits.join(' + ')}`,
		'Subject To',
		...rows.map((row, at) => ` c${at}: ${row}`),
		'Binary',
		` ${bits.join(' ')}`,
		'End'
	].join('\n');
}

test('goals are moved by as few days as the integer program says', () => {
	fc.assert(
		fc.property(anyGoals, fc.integer({ min: 2, max: 5 }), (goals, half) => {
			const days = 31;
			const bandwidth = Array.from({ length: days }, () => 30 * half);
			const found = leveled(goals, bandwidth);
			const answer = highs.solve(model(goals, days, 30 * half), {
				mip_rel_gap: 0,
				output_flag: false
			});
			if (!found) return expect(answer.Status).toBe('Infeasible');
			expect(answer.Status).toBe('Optimal');
			const fewest = Math.round(answer.ObjectiveValue);
			if (found.proven) expect(found.moved).toBe(fewest);
			else expect(found.moved).toBeGreaterThanOrEqual(fewest);
			// Who moves little gets a proof.
			if (fewest <= 8) expect(found.proven).toBe(true);
		}),
		{ numRuns: often(200, 40) }
	);
});
