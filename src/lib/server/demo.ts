import { checked, planSchema } from '$lib/core/formats';
import demoMonth from '../../../demo/month.json';
import type { Store } from './store';

/** Puts the demo notebook and month into a database that holds no notebook yet. */
export async function loadDemo(store: Store): Promise<void> {
	const document = checked(planSchema, demoMonth);
	if (!document.ok)
		throw new Error(`the demo month has faults: ${JSON.stringify(document.faults)}`);
	const { notebook, month, weekStart, aim, theme, wishes } = document.value;
	await store.together(async ({ notebooks, months }) => {
		// Two programs may start on one file.
		if ((await notebooks.all()).length > 0) return;
		const { id } = await notebooks.create(notebook);
		await months.create({
			notebookId: id,
			month,
			weekStart,
			aim,
			wishes,
			...(theme ? { theme } : {})
		});
	});
}
