import { benchCore } from './core';
import { benchPlanner } from './planner';
import { benchScreens } from './screens';

/** Prints speeds and sizes, as ratios against a reference in the same run where there is one. */
export async function main(): Promise<void> {
	await benchCore();
	await benchPlanner();
	await benchScreens();
}
