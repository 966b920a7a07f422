import { benchApi } from './api';
import { benchCore, benchCuts } from './core';
import { benchHard } from './hard';
import { benchMaking } from './making';
import { benchPlanner } from './planner';
import { benchRecords } from './records';
import { benchScreens } from './screens';

/**
 * Prints speeds and sizes, as ratios against a reference in the same run where there is one; with `--hard` what
 * attacks do instead.
 */
export async function main(): Promise<void> {
	if (process.argv.includes('--hard')) return benchHard();
	await benchCore();
	await benchCuts();
	await benchApi();
	await benchMaking();
	await benchRecords();
	await benchPlanner();
	await benchScreens();
}
