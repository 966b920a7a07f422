import { planRun } from '../../src/lib/core/fit';
import {
	bestOrder,
	endOf,
	listOrder,
	makingPlan,
	monthWork,
	problemOf,
	usualEvenings,
	usualMaking,
	type MakingSettings,
	type SpreadWork,
	type Task
} from '../../src/lib/core/making';
import { demoPlan } from '../support/arbitraries';
import { measure, report } from './measure';

/** Two pages of twelve tasks each, six of them colours: twelve such spreads are a month of 288 steps. */
function painted(left: number): readonly Task[] {
	const passes = ['pencil', 'rule', 'letter', 'write', 'erase', 'look'] as const;
	return [left, left + 1].flatMap((page) => [
		...([1, 2, 3, 4, 5, 6] as const).map((level) => ({
			id: `${page} tint ${level}`,
			page,
			pass: 'tint' as const,
			tone: `level-${level}` as const,
			seconds: 40 + ((page * 7 + level * 13) % 90)
		})),
		...passes.map((pass, at) => ({
			id: `${page} ${pass}`,
			page,
			pass,
			seconds: 60 + ((page * 11 + at * 37) % 300)
		}))
	]);
}

/** Orders and sittings of a month, and the waiting that the exact order saves against the longest way first. */
export async function benchMaking(): Promise<void> {
	const plan = demoPlan();
	const run = planRun(plan);
	report(
		'sittings of the demo month',
		await measure(30, () => makingPlan(plan, run, usualMaking, usualEvenings, '2027-04-01'))
	);
	const month = Array.from({ length: 12 }, (_, at) => problemOf(painted(62 + 2 * at), usualMaking));
	report(
		'order of 24 pages with 288 steps',
		await measure(20, () => month.map(bestOrder)),
		'wanted: under 300'
	);
	const slow: MakingSettings = {
		...usualMaking,
		shelf: { ...usualMaking.shelf, tint: { kind: 'watercolour' }, rule: { kind: 'gel' } }
	};
	for (const [name, problems] of [
		['demo month', monthWork(plan, run, usualMaking).map(({ problem }: SpreadWork) => problem)],
		['demo month in watercolour', monthWork(plan, run, slow).map(({ problem }) => problem)],
		['288 steps', month]
	] as const) {
		let [listed, best, work] = [0, 0, 0];
		for (const problem of problems) {
			listed += endOf(problem, listOrder(problem));
			best += bestOrder(problem).end;
			work += problem.jobs.reduce((sum, { length }) => sum + length, 0);
		}
		const saved = listed > work ? (100 * (listed - best)) / (listed - work) : 0;
		console.log(
			`  ${name}: ${(best / 60).toFixed(0)} min, ${(100 * (1 - work / best)).toFixed(0)} % of it waiting; ` +
				`${saved.toFixed(0)} % of the waiting of the longest way first is saved`
		);
	}
}
