import { benchApi } from './api';
import { benchCore, benchCuts } from './core';
import { benchHard } from './hard';
import { benchMaking } from './making';
import { benchPlanner } from './planner';
import { benchRecords } from './records';
import { benchScreens } from './screens';
import { benchSight } from './sight';

/**
 * Prints speeds and sizes, as ratios against a reference in the same run where there is one; with `--hard` what
 * attacks do instead, with `--sight` what is read of simulated photographs, 300 or as many as are asked for.
 */
export async function main(): Promise<void> {
	if (process.argv.includes('--hard')) return benchHard();
	const sight = process.argv.indexOf('--sight');
	if (sight >= 0) return benchSight(Number(process.argv[sight + 1]) || 300);
	await benchCore();
	await benchCuts();
	await benchApi();
	await benchMaking();
	await benchRecords();
	await benchPlanner();
	await benchScreens();
}
