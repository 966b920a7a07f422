import { kinds } from '../catalogue';
import { forms } from '../forms';
import { flag, list, missing, oneOf, record, whole, words } from './rules';

const size = () =>
	record({ w: whole(1, 300).required(missing), h: whole(1, 300).required(missing) });

const item = record({
	name: words(300).defined(missing).required(missing),
	short: words(40)
}).required(missing);

const pin = record({
	page: whole(1, 2000).required(missing),
	x: whole(0, 300),
	y: whole(0, 300),
	w: whole(1, 300),
	h: whole(1, 300)
});

/** One wish of a plan document. */
export const wishSchema = record({
	id: words(100).min(1, missing).required(missing),
	kind: oneOf(kinds.map((kind) => kind.id)).required(missing),
	form: oneOf(forms.map((form) => form.id)),
	importance: oneOf(['must', 'want', 'spare']),
	span: oneOf(['page', 'spread']),
	side: oneOf(['left', 'right']),
	size: size(),
	pin,
	filler: flag(),
	title: words(200),
	cell: size(),
	gap: whole(0, 50),
	across: whole(1, 100),
	split: whole(1, 6),
	items: list(item, 0, 200),
	text: words(20_000),
	lineHeight: whole(1, 20),
	letter: whole(1, 60)
}).required(missing);
