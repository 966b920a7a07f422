import { kinds } from '../../catalogue';
import { columnHolds, forms, type Rule } from '../../forms';
import { flag, list, measure, missing, number, oneOf, record, whole, words } from './rules';

const size = () =>
	record({ w: whole(1, 300).required(missing), h: whole(1, 300).required(missing) });

const item = record({
	name: words(300).defined(missing).required(missing),
	short: words(40),
	symbol: words(8),
	group: words(100),
	rhythm: oneOf([
		'daily',
		'times-a-day',
		'times-a-week',
		'weekly',
		'monthly',
		'now-and-then',
		'threshold'
	]),
	goal: whole(1, 1000),
	upTo: whole(1, 1000),
	begins: whole(1, 31),
	ends: whole(1, 31)
}).required(missing);

const goal = record({
	name: words(200).min(1, missing).required(missing),
	from: whole(1, 31).required(missing),
	to: whole(1, 31).required(missing),
	slack: whole(0, 31),
	hours: measure(0, 500, 'hours')
}).required(missing);

const event = record({
	day: whole(1, 31).required(missing),
	text: words(300).min(1, missing).required(missing),
	time: words(20)
}).required(missing);

const pin = record({
	page: whole(1, 2000).required(missing),
	x: whole(0, 300),
	y: whole(0, 300),
	w: whole(1, 300),
	h: whole(1, 300),
	alone: flag()
});

const weeks = record({
	belong: oneOf(['touching', 'first-day', 'middle-day']).default('touching'),
	short: oneOf(['own', 'fold', 'skip']).default('own'),
	pagesPerWeek: number([1, 2, 4]).default(2),
	only: list(whole(1, 6).required(missing), 1, 6),
	forms: list(
		record({
			week: whole(1, 6).required(missing),
			form: oneOf(forms.map((form) => form.id)).required(missing)
		}).required(missing),
		0,
		6
	)
});

/** Names of all rooms that forms leave. */
const rooms = [...new Set(forms.flatMap((form) => (form.rooms ?? []).map(({ name }) => name)))];

/** What a rule of a form may be. */
function ruleSchema(rule: Rule) {
	switch (rule.kind) {
		case 'number':
			return whole(rule.least, rule.most);
		case 'size':
			return record({
				w: whole(rule.least, rule.most).required(missing),
				h: whole(rule.least, rule.most).required(missing)
			}).optional();
		case 'flag':
			return flag();
		case 'choice':
			return oneOf(rule.options.map(({ value }) => value));
	}
}

/** Rules by form: each form takes what it declares, and nothing else. */
const rulesSchema = record(
	Object.fromEntries(
		forms.map((form) => [
			form.id,
			record(Object.fromEntries(form.rules.map((rule) => [rule.name, ruleSchema(rule)]))).optional()
		])
	)
);

/** What a wish is, wherever it stands. */
const own = {
	id: words(100).min(1, missing).required(missing),
	kind: oneOf(kinds.map((kind) => kind.id)).required(missing),
	form: oneOf(forms.map((form) => form.id)),
	importance: oneOf(['must', 'want', 'spare']),
	title: words(200),
	text: words(20_000),
	unit: words(20),
	limit: whole(1, 10_000_000),
	note: words(1000),
	items: list(item, 0, 200),
	columns: list(
		record({
			name: words(100).min(1, missing).required(missing),
			width: whole(1, 100),
			longest: words(100),
			holds: oneOf(columnHolds)
		}).required(missing),
		0,
		30
	),
	parts: list(words(100).min(1, missing).required(missing), 0, 30),
	levels: list(words(60).min(1, missing).required(missing), 0, 6),
	goals: list(goal, 0, 100),
	goalHours: list(measure(0, 24, 'hours').required(missing), 7, 7),
	events: list(event, 0, 2000),
	rules: rulesSchema.optional(),
	pasted: flag(),
	size: size()
};

/** What a member says besides: its room, and a place in it. */
const inRoom = {
	room: oneOf(rooms),
	spot: record({
		x: whole(0, 300).required(missing),
		y: whole(0, 300).required(missing),
		w: whole(1, 300),
		h: whole(1, 300)
	}).optional()
};

/** So many members a wish may hold. */
export const mostMembers = 12;

const innermost = record({ ...own, ...inRoom }).required(missing);
const member = record({
	...own,
	...inRoom,
	members: list(innermost, 0, mostMembers)
}).required(missing);

/** One wish of a plan document. Members nest two deep at most. */
export const wishSchema = record({
	...own,
	span: oneOf(['page', 'spread']),
	side: oneOf(['left', 'right']),
	alone: flag(),
	pin,
	facing: words(100),
	weeks: weeks.optional(),
	filler: flag(),
	members: list(member, 0, mostMembers)
}).required(missing);

/** A wish as it stands in what is drawn: one of the month, or a member. */
export const anyWishSchema = wishSchema.shape(inRoom);
