import { benchApi } from './api';
import { benchCore, benchCuts } from './core';
import { benchHard } from './hard';
import { benchMaking } from './making';
import { benchPlanner } from './planner';
import { benchRecords } from './records';
import { benchScreens } from './screens';
import { benchSight } from './sight';

/** What is measured, in the order of printing. */
const parts: Readonly<Record<string, () => void | Promise<void>>> = {
	core: benchCore,
	cuts: benchCuts,
	api: benchApi,
	making: benchMaking,
	records: benchRecords,
	planner: benchPlanner,
	screens: benchScreens
};

/**
 * Prints speeds and sizes, as ratios against a reference in the same run where there is one: of all parts, or of those that are
 * named; with `--hard` what attacks do instead, with `--sight` what is read of simulated photographs, 300 or as many as are
 * asked for.
 */
export async function main(): Promise<void> {
	if (process.argv.includes('--hard')) return benchHard();
	const sight = process.argv.indexOf('--sight');
	if (sight >= 0) return benchSight(Number(process.argv[sight + 1]) || 300);
	const named = Object.keys(parts).filter((name) => process.argv.includes(name));
	for (const [name, bench] of Object.entries(parts))
		if (named.length === 0 || named.includes(name)) await bench();
}
