import {
	aimSchema,
	askSchema,
	bankSchema,
	labelSchema,
	cutsSchema,
	drawnSchema,
	missing,
	handSchema,
	makingSchema,
	progressSchema,
	changesSchema,
	monthSchema,
	planSchema,
	sizesSchema,
	titlesSchema,
	themeSchema,
	latelySchema,
	notebookSchema,
	record,
	flag,
	measure,
	weekStartSchema,
	whole,
	wishSchema,
	yearlySchema,
	wishesSchema,
	words
} from '$lib/core/formats';
import { knownLocale } from '$lib/core/month';
import type { InferType } from 'yup';
import { leastBarMm, mostBarMm } from '$lib/core/paper';

/** A month as the screens send it. */
export const monthContentSchema = record({
	notebookId: words(100).required(missing),
	month: monthSchema.required(missing),
	weekStart: weekStartSchema.required(missing),
	aim: aimSchema.required(missing),
	sizes: sizesSchema,
	titles: titlesSchema,
	theme: themeSchema,
	lately: latelySchema,
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

/** What another month can begin with. */
export const monthSetSchema = record({
	month: monthSchema.required(missing),
	weekStart: weekStartSchema.required(missing),
	aim: aimSchema.required(missing),
	titles: titlesSchema,
	theme: themeSchema,
	wishes: wishesSchema
}).required(missing);

/** Whether something is to be deleted, or brought back. */
export const deletedSchema = record({ deleted: flag().required(missing) }).required(missing);

const revision = whole(1, Number.MAX_SAFE_INTEGER).required(missing);

/** What the application's own routes take, by name. */
export const bodies = {
	month: monthContentSchema,
	monthChange: monthContentSchema.shape({ revision }),
	notebook: notebookSchema,
	notebookChange: notebookContentSchema.shape({ revision }),
	hand: handSchema,
	making: makingSchema,
	progress: progressSchema,
	records: changesSchema,
	language: languageSchema,
	name: nameSchema,
	ownKind: ownKindSchema,
	monthSet: nameSchema.shape({ monthId: words(100).required(missing) }),
	yearly: yearlySchema,
	bank: bankSchema,
	outside: askSchema,
	label: labelSchema,
	printer: printerSchema,
	deleted: deletedSchema,
	copy: record({ file: words(100).required(missing) }).required(missing),
	import: record({
		document: planSchema,
		/** The notebook it goes into; none for the one that comes with it. */
		notebookId: words(100),
		withHand: flag().default(false)
	}).required(missing)
};

export type BodyName = keyof typeof bodies;
export type BodyOf<Name extends BodyName> = InferType<(typeof bodies)[Name]>;
