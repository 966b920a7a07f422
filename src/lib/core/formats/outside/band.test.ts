import { describe, expect, test } from 'vitest';
import { planWith } from '../../../../../tests/support/arbitraries';
import { bandDays } from '../../../standins';
import { planRun } from '../../fit';
import { entryKey, readTimes, trackersOf, type Entry } from '../../records';
import { readBand } from './band';

const plan = planWith([
	{ id: 'sleep', kind: 'sleep' },
	{ id: 'steps', kind: 'steps' }
]);
const march = { year: 2027, month: 3 };
const [sleep, steps] = trackersOf(plan, planRun(plan));
if (!sleep || !steps) throw new Error('no tracker');
const answer = (days: unknown) => JSON.stringify({ device: 'band', days });
const taken = (text: string, tracker = steps, known: ReadonlyMap<string, Entry> = new Map()) => {
	const read = readBand(text, tracker, march, known);
	if (!read.ok) throw new Error(JSON.stringify(read.faults));
	return read;
};

describe('a band’s days', () => {
	test('are the clock’s where it was worn, over a change of clocks and in two parts', () => {
		const night = [
			// The night in which clocks in Berlin go from 2 to 3.
			{
				date: '2027-03-27',
				steps: 8000,
				sleep: [
					{ from: '2027-03-27T23:10:00+01:00', to: '2027-03-28T01:40:00+01:00' },
					{ from: '2027-03-28T03:05:00+02:00', to: '2027-03-28T07:20:00+02:00' }
				]
			}
		];
		expect(taken(answer(night), sleep).changes).toEqual([
			{ wish: 'sleep', about: 'day=27', holds: 'times', value: '23:10-01:40, 03:05-07:20' }
		]);
		expect(taken(answer(night)).changes.map(({ about, value }) => [about, value])).toEqual([
			['day=27', '8000']
		]);
	});

	test('gaps stay blank, what a person wrote stays, and nothing comes twice', () => {
		const days = bandDays('2027-03-01', '2027-03-31', 'engineer', true);
		const first = taken(answer(days));
		const worn = days.filter(({ steps }) => steps !== undefined);
		expect(first.changes).toHaveLength(worn.length);
		expect(first.changes.length + first.gaps.length).toBe(31);
		for (const day of [3, 6, 9]) expect(first.gaps).toContain(day);
		const known = new Map(first.changes.map((one) => [entryKey(one), one]));
		expect(taken(answer(days), steps, known)).toMatchObject({ changes: [], other: [] });
		const [one] = first.changes;
		if (!one) throw new Error('nothing');
		const own = new Map([[entryKey(one), { ...one, value: '1' }]]);
		expect(taken(answer(days), steps, own).other).toHaveLength(1);
		for (const { value } of taken(answer(days), sleep).changes)
			expect(readTimes(value)?.length).toBeGreaterThan(0);
	});

	test('are the same for the same seed', () => {
		const of = (seed: string) => JSON.stringify(bandDays('2027-05-01', '2027-05-31', seed));
		expect(of('a')).toBe(of('a'));
		expect(of('a')).not.toBe(of('b'));
	});

	test('that cannot be read are refused with their place', () => {
		const path = (text: string) => {
			const read = readBand(text, steps, march, new Map());
			return read.ok ? undefined : read.faults[0]?.path;
		};
		expect(path('<html>')).toBe('');
		expect(path(answer([{ date: 'yesterday', steps: 1 }]))).toBe('days[0].date');
		expect(path(answer([{ date: '2027-03-01', steps: 1e9 }]))).toBe('days[0].steps');
		expect(path(answer(Array.from({ length: 401 }, () => ({ date: '2027-03-01' }))))).toBe('days');
	});
});
