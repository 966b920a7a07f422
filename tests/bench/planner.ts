import loadHighs from 'highs';
import type { Aim } from '../../src/lib/core/fit/plan/aims';
import { PackingCache, solve, type Problem } from '../../src/lib/core/fit/solve';
import { patternModel } from '../support/pattern-model';
import { ordinaryMonth, patternProblem, tightMonth } from '../support/problems';
import { report, summary, type Times } from './measure';

/** Solves a problem to the end, or until `deadline` ms have passed; tells how long that took. */
function timed(problem: Problem, cache = new PackingCache(), deadline = Infinity) {
	const start = performance.now();
	const passed = () => performance.now() - start;
	const solving = solve(problem, cache);
	let state = solving.next();
	while (!state.done && passed() < deadline) state = solving.next();
	return { ms: passed(), state: state.value, done: state.done === true };
}

const seeds = (count: number, from = 1000) => Array.from({ length: count }, (_, at) => from + at);
const timesOf = (problems: readonly Problem[]): Times =>
	summary(problems.map((problem) => timed(problem).ms));

/** The planner on the problems of `tests/support/problems.ts`, each with an empty packing cache. */
export async function benchPlanner(): Promise<void> {
	for (const seed of seeds(12, 0)) timed(ordinaryMonth(20, seed, 'balanced'));
	console.log('run of pages: ordinaryMonth(wishes, seeds from 1000 on), warm, proven best');
	const wanted: Readonly<Record<number, string>> = {
		30: 'wanted: 40 and 120',
		60: 'wanted: 95th percentile 250',
		80: 'wanted: 400'
	};
	for (const wishes of [10, 20, 30, 40, 60, 80]) {
		const problems = seeds(wishes > 40 ? 15 : 30).map((seed) =>
			ordinaryMonth(wishes, seed, 'balanced')
		);
		report(`  balanced, ${wishes} wishes`, timesOf(problems), wanted[wishes]);
	}
	for (const aim of ['fewest-pages', 'roomiest'] as const satisfies readonly Aim[])
		for (const wishes of [30, 60])
			report(
				`  ${aim}, ${wishes} wishes`,
				timesOf(seeds(15).map((seed) => ordinaryMonth(wishes, seed, aim)))
			);
	benchReplanning();
	benchHardMonths();
	await benchAgainstReferee();
	benchMemory();
}

/** The same month with one wish changed, by a cache that knows the month. */
function benchReplanning(): void {
	const ratios = seeds(15).map((seed) => {
		const month = ordinaryMonth(30, seed, 'balanced');
		const other = ordinaryMonth(30, seed + 5000, 'balanced');
		const items = month.items.map((item, at) => (at === 12 ? (other.items[at] ?? item) : item));
		const cache = new PackingCache();
		timed(month, cache);
		return timed({ ...month, items }, cache).ms / timed({ ...month, items }).ms;
	});
	const { median } = summary(ratios);
	console.log(`  one wish of 30 changed: ${median.toFixed(2)} of the full time (wanted: 0.33)`);
}

/** Months that are hard: pages nearly filled by small blocks; a third too many wishes. */
function benchHardMonths(): void {
	const kinds = {
		'tightMonth(seed)': seeds(10).map((seed) => tightMonth(seed)),
		'ordinaryMonth(30, seed) on 5 pages': seeds(10).map((seed) =>
			ordinaryMonth(30, seed, 'balanced', 5)
		)
	};
	for (const [name, problems] of Object.entries(kinds)) {
		const early = problems.map((problem) => timed(problem, new PackingCache(), 200));
		const placed = early.map(
			({ state }) => state.best.places.filter(Boolean).length / state.best.places.length
		);
		const gaps = early.map(({ state: { best, bound } }) => (100 * (best.cost - bound)) / best.cost);
		const late = Math.max(...early.map(({ ms, done }) => (done ? 0 : ms - 200)));
		console.log(
			`  ${name} at 200 ms: ${(100 * summary(placed).median).toFixed(0)} % placed, ` +
				`within ${summary(gaps).median.toFixed(1)} % of the best at most (medians); ` +
				`${late.toFixed(0)} ms late at most (wanted: 50)`
		);
		const proven = problems.filter((problem) => timed(problem, new PackingCache(), 5000).done);
		console.log(`    proven best within 5 s: ${proven.length} of ${problems.length} (wanted: 9)`);
	}
}

/** The referee is given all page patterns with their prices and only chooses among them. */
async function benchAgainstReferee(): Promise<void> {
	const highs = await loadHighs();
	for (const wishes of [20, 30]) {
		const ratios = seeds(5).map((seed) => {
			const problem = patternProblem(wishes, seed);
			const model = patternModel(problem);
			const start = performance.now();
			highs.solve(model, { mip_rel_gap: 0, mip_abs_gap: 0.5, output_flag: false });
			return (performance.now() - start) / timed(problem).ms;
		});
		const { median } = summary(ratios);
		console.log(
			`  ${wishes} wishes: ${median.toFixed(0)} times as fast as HiGHS with the patterns given (wanted: 30)`
		);
	}
}

/** Heap in use while sixty wishes are planned, above what was in use before. */
function benchMemory(): void {
	const problem = ordinaryMonth(60, 1000, 'balanced');
	const before = process.memoryUsage().heapUsed;
	let most = 0;
	const solving = solve(problem, new PackingCache());
	while (!solving.next().done) most = Math.max(most, process.memoryUsage().heapUsed - before);
	console.log(`  heap for 60 wishes ${(most / 1e6).toFixed(0)} MB at most (wanted: 150)`);
}
