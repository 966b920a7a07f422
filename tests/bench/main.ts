import { benchCore } from './core';
import { benchScreens } from './screens';

/** Prints speeds and sizes, as ratios against a reference in the same run where there is one. */
export async function main(): Promise<void> {
	await benchCore();
	await benchScreens();
}
