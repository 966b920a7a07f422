import type { Change } from '../values/entry';
import { subjectKey } from '../../draw';

/** A month's written review is kept under this in the place of a wish: no wish has such an id. */
export const reviewOf = '#review';

/** What the last days of a month are asked, one line each. */
export const prompts = [
	'What went well',
	'What was too much',
	'What was missing',
	'One thing for the next month'
] as const;

/** An answer to a prompt, or with an empty one no answer any more. */
export function answered(prompt: (typeof prompts)[number], words: string): Change {
	return {
		wish: reviewOf,
		about: subjectKey({ item: prompt }),
		holds: 'text',
		value: words.trim()
	};
}
