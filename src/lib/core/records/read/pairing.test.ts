import { jStat } from 'jstat';
import { describe, expect, test } from 'vitest';
import { often } from '../../../../../tests/support/effort';
import { pairing, type PairedDay } from './pairing';
import { together, type Measured } from '../tallies/together';

/** Numbers from 0 to 1 from a seed (mulberry32). */
function seeded(seed: number): () => number {
	let state = seed;
	return () => {
		state = (state + 0x6d2b79f5) | 0;
		let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
		mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
		return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
	};
}

/** Days that resemble the day before with a correlation of `alike`, from a normal distribution. */
function series(random: () => number, days: number, alike: number): number[] {
	const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
	let value = normal();
	return Array.from({ length: days }, () => {
		const now = value;
		value = alike * value + Math.sqrt(1 - alike * alike) * normal();
		return now;
	});
}

const marks = (values: readonly number[]) =>
	new Map(values.map((value, at) => [at + 1, value > 0 ? 'x' : '-']));
const measured = (values: readonly number[]): Measured => ({
	name: 'mood',
	days: new Map(values.map((value, at) => [at + 1, value]))
});

describe('what goes with what', () => {
	test('days that do not resemble each other are held against Student’s t', () => {
		// On alternate days with values that turn as regularly the product is above nought; with one that does not, n′ is n.
		const random = seeded(5);
		const days = series(random, 40, 0).map((value, at): PairedDay => ({
			day: 3 * at + 1,
			on: random() < 0.5,
			value
		}));
		const found = pairing(days);
		const side = (on: boolean) => days.filter((one) => one.on === on).map(({ value }) => value);
		const [a, b] = [side(true), side(false)];
		const mean = (all: readonly number[]) => all.reduce((sum, one) => sum + one, 0) / all.length;
		const left = (all: readonly number[]) =>
			all.reduce((sum, one) => sum + (one - mean(all)) ** 2, 0);
		const difference = mean(a) - mean(b);
		// The t test of a correlation with two groups is Student's test with one variance (any text on statistics).
		const variance = (left(a) + left(b)) / (days.length - 2);
		const t = difference / Math.sqrt(variance * (1 / a.length + 1 / b.length));
		const chance = 2 * jStat.studentt.cdf(-Math.abs(t), days.length - 2);
		expect(found?.difference).toBeCloseTo(difference, 10);
		expect(found?.chance).toBeCloseTo(chance, 8);
		// The smallest difference for that chance is the one that was found.
		expect(found?.leastFor(chance)).toBeCloseTo(Math.abs(difference), 6);
	});

	test('fewer than eight days on a side, or numbers that never change, say nothing', () => {
		const days = (on: number, off: number, value = (at: number) => at): PairedDay[] =>
			Array.from({ length: on + off }, (_, at) => ({
				day: at + 1,
				on: at < on,
				value: value(at % 5)
			}));
		expect(pairing(days(7, 20))).toBeUndefined();
		expect(pairing(days(20, 7))).toBeUndefined();
		expect(pairing(days(10, 10, () => 3))).toBeUndefined();
		expect(pairing(days(8, 8))).toBeDefined();
	});

	test('days before a habit begins and after it ends count for neither side', () => {
		const random = seeded(9);
		const days = new Map(
			Array.from({ length: 31 }, (_, at) => [at + 1, random() < 0.5 ? 'x' : '-'])
		);
		const mood = measured(series(random, 31, 0));
		const [all] = together([{ name: 'a', days }], [mood]).least;
		const { looked } = together([{ name: 'a', days, begins: 25 }], [mood]);
		expect(all).toBeDefined();
		expect(looked).toBe(0);
		const late = together([{ name: 'a', days, begins: 5, ends: 28 }], [mood]);
		expect(late.looked).toBe(1);
		expect(late.least[0]?.difference).not.toBe(all?.difference);
	});

	test('of months in which nothing goes together at most one in ten tells something', () => {
		const runs = often(400, 100);
		for (const days of [31, 92])
			for (const alike of [0, 0.6, 0.8])
				for (const habits of [1, 6, 12]) {
					const random = seeded(days * 1000 + alike * 100 + habits);
					let told = 0;
					for (let run = 0; run < runs; run++) {
						const mood = measured(series(random, days, alike));
						const all = Array.from({ length: habits }, (_, at) => ({
							name: `h${at}`,
							days: marks(series(random, days, alike))
						}));
						if (together(all, [mood]).told.length > 0) told++;
					}
					// Three standard deviations above a tenth are allowed for so few runs.
					const most = 0.1 + (runs < 400 ? 3 * Math.sqrt(0.09 / runs) : 0);
					expect(told / runs, `${days} days, ${alike}, ${habits} habits`).toBeLessThanOrEqual(most);
				}
	});

	test('a relation of 0.6 is told in more than half of all months', () => {
		const random = seeded(7);
		const runs = often(600, 200);
		let told = 0;
		for (let run = 0; run < runs; run++) {
			const latent = series(random, 31, 0);
			const noise = series(random, 31, 0);
			const days = marks(latent);
			// The mark itself, not what lies behind it, goes with the number.
			const value = [...days.values()].map((mark, at) => {
				const own = mark === 'x' ? 1 : -1;
				return 0.6 * own + 0.8 * (noise[at] ?? 0);
			});
			if (together([{ name: 'h', days }], [measured(value)]).told.length > 0) told++;
		}
		expect(told / runs).toBeGreaterThan(0.5);
	});
});
