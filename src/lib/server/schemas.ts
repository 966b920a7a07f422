import {
	aimSchema,
	missing,
	monthSchema,
	notebookSchema,
	record,
	flag,
	weekStartSchema,
	wishesSchema,
	words
} from '$lib/core/formats';

/** A month as the screens send it. */
export const monthContentSchema = record({
	notebookId: words(100).required(missing),
	month: monthSchema.required(missing),
	weekStart: weekStartSchema.required(missing),
	aim: aimSchema.required(missing),
	wishes: wishesSchema
}).required(missing);

/** A notebook as the screens send it. */
export const notebookContentSchema = record({ notebook: notebookSchema }).required(missing);

/** Whether something is to be deleted, or brought back. */
export const deletedSchema = record({ deleted: flag().required(missing) }).required(missing);
