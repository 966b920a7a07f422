import { cutsFault } from '$lib/core/formats';
import type { Notebook } from '$lib/core/paper';
import type { MonthContent } from './month-row';
import { faulty, tooMuch } from './problem';
import { sizeFault } from './size-fault';

/** The answer to a month that a notebook cannot keep: none that is known, too large a month, cuts it does not allow. */
export function monthFault(
	notebook: Notebook | undefined,
	{ wishes, cuts }: Pick<MonthContent, 'wishes' | 'cuts'>
): Response | undefined {
	if (!notebook) return faulty([{ path: 'notebookId', message: 'is not the id of a notebook' }]);
	const large = sizeFault(wishes);
	if (large) return tooMuch(large);
	const fault = cutsFault(notebook, cuts ?? []);
	return fault && faulty([fault]);
}
