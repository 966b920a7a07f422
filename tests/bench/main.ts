import { benchCore, benchCuts } from './core';
import { benchPlanner } from './planner';
import { benchScreens } from './screens';

/** Prints speeds and sizes, as ratios against a reference in the same run where there is one. */
export async function main(): Promise<void> {
	await benchCore();
	await benchCuts();
	await benchPlanner();
	await benchScreens();
}
