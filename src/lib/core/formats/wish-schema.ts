import { kinds } from '../catalogue';
import { forms } from '../forms';
import { flag, list, missing, number, oneOf, record, whole, words } from './rules';

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
	goal: whole(1, 1000)
}).required(missing);

const goal = record({
	name: words(200).min(1, missing).required(missing),
	from: whole(1, 31).required(missing),
	to: whole(1, 31).required(missing),
	slack: whole(0, 31)
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
	forms: list(
		record({
			week: whole(1, 6).required(missing),
			form: oneOf(forms.map((form) => form.id)).required(missing)
		}).required(missing),
		0,
		6
	)
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
	facing: words(100),
	weeks: weeks.optional(),
	filler: flag(),
	title: words(200),
	titleStyle: oneOf(['lettered', 'written']),
	cell: size(),
	gap: whole(0, 50),
	across: whole(1, 100),
	split: whole(1, 6),
	items: list(item, 0, 200),
	text: words(20_000),
	lineHeight: whole(1, 20),
	letter: whole(1, 60),
	header: whole(0, 10),
	columns: list(
		record({
			name: words(100).min(1, missing).required(missing),
			width: whole(1, 100),
			longest: words(100)
		}).required(missing),
		0,
		30
	),
	tables: whole(1, 10),
	entries: whole(1, 2000),
	parts: list(words(100).min(1, missing).required(missing), 0, 30),
	levels: list(words(60).min(1, missing).required(missing), 4, 6),
	shape: oneOf(['square', 'hexagon', 'over-fold']),
	from: whole(0, 23),
	hours: whole(1, 24),
	goals: list(goal, 0, 100),
	week: whole(1, 6),
	folded: list(whole(1, 31).required(missing), 0, 31),
	frame: whole(0, 50),
	shift: whole(0, 20),
	events: list(event, 0, 2000),
	overflow: flag(),
	note: words(1000),
	marking: oneOf(['fill', 'circle', 'cross', 'leave', 'fill-and-cross']),
	showGoals: flag()
}).required(missing);
