import { cutsFault, type Fault } from '$lib/core/formats';
import { monthTitle, parseMonth } from '$lib/core/month';
import type { Notebook } from '$lib/core/paper';
import type { Store } from './store';

/** Why a notebook cannot become so: a cut that a month of it keeps would no longer be possible. */
export async function keptCutsFault(
	store: Store,
	id: string,
	notebook: Notebook
): Promise<Fault | undefined> {
	for (const { month, cuts, deleted } of await store.months.inNotebook(id)) {
		const fault = deleted ? undefined : cutsFault(notebook, cuts ?? []);
		if (!fault) continue;
		const parsed = parseMonth(month);
		const title = parsed ? monthTitle('en', parsed) : month;
		return {
			path: 'notebook',
			message: `would no longer hold a cut of ${title} (${fault.message}); change or remove that cut first`
		};
	}
	return undefined;
}
