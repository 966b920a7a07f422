import { forms } from '../forms';
import { list, missing, oneOf, record, whole } from './rules';
import { wishSchema } from './wish-schema';

const page = () => whole(1, 2000).required(missing);

const rect = record({
	x: whole(0, 300).required(missing),
	y: whole(0, 300).required(missing),
	w: whole(1, 300).required(missing),
	h: whole(1, 300).required(missing)
}).required(missing);

const piece = record({ page: page(), rect }).required(missing);

const block = record({
	wish: wishSchema,
	form: oneOf(forms.map((form) => form.id)).required(missing),
	pieces: list(piece, 1, 2).required(missing)
}).required(missing);

/** Pages of a month that are drawn already, and the blocks on them as they were drawn. */
export const drawnSchema = record({
	pages: list(page(), 0, 2000).required(missing),
	blocks: list(block, 0, 2000).required(missing)
});
