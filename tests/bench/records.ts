import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { planRun } from '../../src/lib/core/fit';
import { monthShape } from '../../src/lib/core/month';
import { tallyOf, trackersOf, yearTally, type Entry } from '../../src/lib/core/records';
import { openStore } from '../../src/lib/server/shelf/store';
import { a5, demoPlan } from '../support/arbitraries';
import { measure, report } from './measure';

/** A month of records as people keep them: six habits, a state, a night and a number a day, and sixty rows of four. */
function aMonth(): Entry[] {
	const days = Array.from({ length: 31 }, (_, at) => at + 1);
	const by = (wish: string, holds: Entry['holds'], value: string) =>
		days.map((day): Entry => ({ wish, about: `day=${day}`, holds, value }));
	return [
		...['a', 'b', 'c', 'd', 'e', 'f'].flatMap((item) =>
			days.map((day): Entry => {
				return { wish: 'habits', about: `item=${item}&day=${day}`, holds: 'mark', value: 'x' };
			})
		),
		...by('mood', 'level', '2'),
		...by('sleep', 'times', '23:30-07:10'),
		...by('steps', 'number', '8250'),
		...Array.from({ length: 60 }, (_, at) =>
			['Day', 'Item', 'Cost', 'For'].map((column): Entry => {
				const about = `row=${at + 1}&column=${column}`;
				return { wish: 'spending', about, holds: 'text', value: 'Leeks' };
			})
		).flat()
	];
}

/** What records cost: opening a month beside ten years of others, adding a month up, a year. */
export async function benchRecords(): Promise<void> {
	const folder = await mkdtemp(join(tmpdir(), 'horarium-bench-'));
	const store = await openStore(join(folder, 'bench.db'));
	const book = await store.notebooks.create(a5);
	const make = async (year: number, month: number) => {
		const name = `${year}-${String(month).padStart(2, '0')}`;
		const { id } = await store.months.create({
			notebookId: book.id,
			month: name,
			weekStart: 'monday',
			aim: 'balanced',
			wishes: []
		});
		await store.records.change(id, aMonth());
		return id;
	};
	const first = await make(2027, 5);
	const open = () => measure(200, () => store.records.ofMonth(first));
	const alone = await open();
	for (let year = 2017; year < 2027; year++)
		for (let month = 1; month <= 12; month++) await make(year, month);
	const among = await open();
	report(
		'records of a month among ten years of them',
		among,
		`${(among.median / alone.median).toFixed(2)} of a month alone (wanted: at most 1.2)`
	);
	store.close();
	await rm(folder, { recursive: true });
	const plan = demoPlan();
	const run = planRun(plan);
	report(
		'everything that is filled in of the demo month',
		await measure(20, () => trackersOf(plan, run))
	);
	const trackers = trackersOf(plan, run);
	const setting = { month: monthShape(plan.month, plan.weekStart), hand: plan.hand, until: 31 };
	const entries = aMonth();
	report(
		'tallies of a month',
		await measure(50, () => trackers.map((tracker) => tallyOf(tracker, entries, setting)))
	);
	const months = Array.from({ length: 12 }, (_, at) => ({
		month: `2027-${String(at + 1).padStart(2, '0')}`,
		weekStart: plan.weekStart,
		wishes: plan.wishes,
		entries,
		pages: 22
	}));
	report('tallies of a year', await measure(20, () => yearTally(months)));
}
