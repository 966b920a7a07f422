import { checked, planSchema } from '$lib/core/formats';
import demoMonth from '../../../demo/month.json';
import type { Store } from './store';

/** Puts the demo notebook and month into a database that holds no notebook yet. */
export async function loadDemo(store: Store): Promise<void> {
	if ((await store.notebooks.all()).length > 0) return;
	const document = checked(planSchema, demoMonth);
	if (!document.ok)
		throw new Error(`the demo month has faults: ${JSON.stringify(document.faults)}`);
	const { notebook, month, weekStart, aim, wishes } = document.value;
	const { id } = await store.notebooks.create(notebook);
	await store.months.create({ notebookId: id, month, weekStart, aim, wishes });
}
