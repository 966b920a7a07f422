import demoMonth from '../../demo/month.json';
import { planRun } from '../../src/lib/core/fit';
import { answer, type ApiRoute } from '../../src/lib/server/answer/api-answers';
import { demoPlan } from '../support/arbitraries';
import { measure, report } from './measure';
import { tenWishes } from './core';

/** What one core answers of the stateless API in a second, by a month of ten wishes and by the demo's. */
export async function benchApi(): Promise<void> {
	const { wishes } = tenWishes;
	const months = [
		{ name: 'ten wishes', plan: tenWishes, body: JSON.stringify({ ...demoMonth, wishes }) },
		{ name: 'the demo', plan: demoPlan(), body: JSON.stringify(demoMonth) }
	];
	for (const { name, plan, body } of months) {
		report(`run of ${name}, alone`, await measure(20, () => planRun(plan)));
		for (const route of ['plan', 'guide', 'pdf'] satisfies ApiRoute[]) {
			const request = { route, body, query: '', plain: false, fonts: [] };
			const taken = await measure(20, async () => (await answer(request)).arrayBuffer());
			report(`  ${route}`, taken, `${(1000 / taken.median).toFixed(1)} a second per core`);
		}
	}
}
