import { planOf } from '$lib/core/fit';
import { cutsFault } from '$lib/core/formats';
import { defaultHand } from '$lib/core/hand';
import type { Notebook } from '$lib/core/paper';
import type { MonthContent } from '../stores/month-row';
import { faulty, tooMuch } from '../answer/problem';
import { sizeFault } from '../answer/size-fault';

/** Whoever plans: how large a month is does not follow from it. */
const anybody = { locale: 'en', hand: defaultHand };

/** The answer to a month that a notebook cannot keep: none that is known, cuts it does not allow, too large a month. */
export function monthFault(
	notebook: Notebook | undefined,
	content: Omit<MonthContent, 'notebookId'>
): Response | undefined {
	if (!notebook) return faulty([{ path: 'notebookId', message: 'is not the id of a notebook' }]);
	const fault = cutsFault(notebook, content.cuts ?? []);
	if (fault) return faulty([fault]);
	const large = sizeFault(planOf(content, notebook, anybody));
	return large && tooMuch(large);
}
