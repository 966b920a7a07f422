import { forms } from '../../forms';
import { handSchema, weekStartSchema } from './person-schema';
import { list, missing, oneOf, record, whole, words } from './rules';
import { themeSchema } from './theme-schema';
import { anyWishSchema } from './wish-schema';

const page = () => whole(1, 2000).required(missing);

const rect = record({
	x: whole(0, 300).required(missing),
	y: whole(0, 300).required(missing),
	w: whole(1, 300).required(missing),
	h: whole(1, 300).required(missing)
}).required(missing);

const piece = record({ page: page(), rect }).required(missing);

const drawnWith = record({
	month: record({
		year: whole(1900, 2200).required(missing),
		month: whole(1, 12).required(missing)
	}).required(missing),
	weekStart: weekStartSchema.required(missing),
	hand: handSchema,
	locale: words(40).required(missing),
	theme: themeSchema
});

const block = record({
	/** Of a weekly set, also which week and page it is. */
	wish: anyWishSchema.shape({
		part: record({
			week: whole(1, 6).required(missing),
			page: whole(1, 4).required(missing),
			folded: list(whole(1, 31).required(missing), 0, 31).required(missing)
		}).optional()
	}),
	drawnWith: drawnWith.optional(),
	host: record({
		wish: words(100).required(missing),
		room: words(40).required(missing)
	}).optional(),
	letters: whole(1, 8).optional(),
	form: oneOf(forms.map((form) => form.id)).required(missing),
	pieces: list(piece, 1, 2).required(missing)
}).required(missing);

/** Pages of a month that are drawn already, and the blocks on them as they were drawn. */
export const drawnSchema = record({
	pages: list(page(), 0, 2000).required(missing),
	blocks: list(block, 0, 2000).required(missing)
});
