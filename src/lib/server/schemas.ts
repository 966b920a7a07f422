import {
	aimSchema,
	cutsSchema,
	drawnSchema,
	missing,
	monthSchema,
	notebookSchema,
	record,
	flag,
	measure,
	weekStartSchema,
	wishSchema,
	wishesSchema,
	words
} from '$lib/core/formats';
import { knownLocale } from '$lib/core/month';
import { leastBarMm, mostBarMm } from '$lib/core/paper';

/** A month as the screens send it. */
export const monthContentSchema = record({
	notebookId: words(100).required(missing),
	month: monthSchema.required(missing),
	weekStart: weekStartSchema.required(missing),
	aim: aimSchema.required(missing),
	wishes: wishesSchema,
	drawn: drawnSchema,
	cuts: cutsSchema
}).required(missing);

/** A notebook as the screens send it. */
export const notebookContentSchema = record({ notebook: notebookSchema }).required(missing);

/** A name of something the person made. */
export const nameSchema = record({ name: words(100).min(1, missing).required(missing) }).required(
	missing
);

/** The language of names on pages, or an empty text for the browser's. */
export const languageSchema = record({
	language: words(40)
		.defined(missing)
		.test('known', 'is not a language that this machine knows', (tag) =>
			tag === '' ? true : knownLocale(tag) === tag
		)
}).required(missing);

/** A kind of the person's own, as the screens send it. */
export const ownKindSchema = nameSchema.shape({ wish: wishSchema });

/** A printer and what the bars of the check sheet measure on its print. */
export const printerSchema = record({
	name: words(100).min(1, missing).required(missing),
	acrossMm: measure(leastBarMm, mostBarMm).required(missing),
	downMm: measure(leastBarMm, mostBarMm).required(missing)
}).required(missing);

/** Whether something is to be deleted, or brought back. */
export const deletedSchema = record({ deleted: flag().required(missing) }).required(missing);
