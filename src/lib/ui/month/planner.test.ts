import { expect, test } from 'vitest';
import { untilFinal } from './planner';

test('a run that is overtaken by the final one is told no more', () => {
	const told: [string, boolean][] = [];
	const tell = untilFinal((run: string, final) => told.push([run, final]));
	tell('rough', false);
	tell('best', true);
	tell('better', false);
	expect(told).toEqual([
		['rough', false],
		['best', true]
	]);
});
