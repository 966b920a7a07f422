import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { describe, expect, test } from 'vitest';
import { planRun } from '$lib/core/fit';
import { checked, planSchema, toPlan } from '$lib/core/formats';

const documents = readdirSync('.', { recursive: true, encoding: 'utf8' }).filter(
	(path) => path.endsWith('.md') && !/node_modules|\.svelte-kit|^build/.test(path)
);

describe('what is written about it', () => {
	test.each(documents)('%s leads only to files that are there', (path) => {
		const text = readFileSync(path, 'utf8');
		const targets = [...text.matchAll(/\]\((?!https?:)([^)#]+)\)/g)].map(
			([, target = '']) => target
		);
		expect(targets.filter((target) => !existsSync(join(dirname(path), target)))).toEqual([]);
	});

	test('the smallest document in the API’s page is one, and has a run', () => {
		const sent = /-d '(\{[\s\S]*?\})'/.exec(readFileSync('docs/API.md', 'utf8'))?.[1] ?? '';
		const read = checked(planSchema, JSON.parse(sent));
		if (!read.ok) throw new Error(JSON.stringify(read.faults));
		const run = planRun(toPlan(read.value));
		expect(run.unplaced).toEqual([]);
		expect(run.blocks.map(({ wish }) => wish)).toEqual(['calendar', 'habits']);
	});

	test.each([
		['README.md', 900],
		['docs/ARCHITECTURE.md', 960]
	])('%s is read in a few minutes', (path, most) => {
		expect(readFileSync(path, 'utf8').split(/\s+/).length).toBeLessThanOrEqual(most);
	});
});
