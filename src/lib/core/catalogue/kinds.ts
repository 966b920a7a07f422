import type { ColumnHolds } from '../forms';
import type { Importance, Wish } from '../wish';
import type { Side } from '../paper';

/** What a kind is for, as people look for it. */
export type Purpose = 'open' | 'plan' | 'track' | 'log' | 'write' | 'week' | 'review';

/** Purposes in the order in which a month is set up (common practice), with their names. */
export const purposes: readonly { readonly id: Purpose; readonly name: string }[] = [
	{ id: 'open', name: 'Opening the month' },
	{ id: 'plan', name: 'Planning' },
	{ id: 'track', name: 'Trackers' },
	{ id: 'log', name: 'Logs and lists' },
	{ id: 'write', name: 'Writing' },
	{ id: 'week', name: 'Weeks' },
	{ id: 'review', name: 'Looking back' }
];

/** What a journaler may want to keep. Adding a kind adds an entry here, never code. */
export interface Kind {
	readonly id: string;
	readonly name: string;
	readonly purpose: Purpose;
	/** What it is for, in the words of someone who keeps it. */
	readonly about: string;
	/** The form it usually takes; further forms it may take come after it. */
	readonly forms: readonly [string, ...string[]];
	readonly importance: Importance;
	readonly filler?: boolean;
	/** The side of the spread it is liked on. */
	readonly likes?: Side;
	/** How many lines it is likely to need. */
	readonly expects?: 'a line a day' | 'a line a title';
	/** Its numbers are meant to grow: the next aim is a fifth above the mean. */
	readonly grows?: boolean;
	/** It goes with anything, and nobody minds sharing a page with it. */
	readonly joins?: boolean;
	/** It is a page of its own, a stranger to everything; only where pages come first does it fill what is left. */
	readonly freeWriting?: boolean;
	/** Over a spread it is liked alone. */
	readonly ownSpread?: boolean;
	/** What a new wish of this kind starts with. */
	readonly start: Omit<Wish, 'id' | 'kind' | 'members'> & {
		readonly members?: readonly MemberStart[];
	};
}

/** What a member starts with besides what its kind does. */
export type MemberStart = Omit<Wish, 'id' | 'members'>;

type Forms = Kind['forms'];
type Start = Kind['start'];

function kind(
	purpose: Purpose,
	id: string,
	name: string,
	about: string,
	forms: Forms,
	start: Start = {},
	more: Partial<
		Pick<
			Kind,
			| 'importance'
			| 'filler'
			| 'joins'
			| 'freeWriting'
			| 'likes'
			| 'ownSpread'
			| 'expects'
			| 'grows'
		>
	> = {}
): Kind {
	return { id, name, purpose, about, forms, importance: 'want', start, ...more };
}

const names = (...list: string[]) => list.map((name) => ({ name }));
const columns = (...list: [name: string, width: number, holds?: ColumnHolds][]) =>
	list.map(([name, width, holds]) => ({ name, width, ...(holds ? { holds } : {}) }));
const filler = { filler: true } as const;
const freeWriting = { filler: true, freeWriting: true } as const;

/** A named list of so many lines, as a member. */
const list = (title: string, lines: number, marks = 'box'): MemberStart => ({
	kind: 'tasks',
	title,
	form: 'lists',
	rules: { lists: { lines, marks } }
});

/** A tracker as a small calendar, as a member. */
const small = (kind: string, title: string): MemberStart => ({
	kind,
	title,
	form: 'mini-calendar',
	items: [],
	rules: { 'mini-calendar': { cell: 1 } }
});

export const kinds: readonly Kind[] = [
	// Title pages have stood on the right for as long as books have been bound.
	kind(
		'open',
		'cover',
		'Cover',
		'Opens the month: its name, a picture and a small calendar.',
		['cover', 'title', 'blank'],
		{},
		{ likes: 'right' }
	),
	kind(
		'open',
		'quote',
		'Quote',
		'A sentence to live with for a month, in lines of even length.',
		['quote', 'title'],
		{
			text: 'Calm water is for the passengers; the engine room keeps its own weather.'
		},
		filler
	),
	kind(
		'write',
		'picture',
		'Picture',
		'Squares kept for a drawing, with its motif and the minutes it takes.',
		['picture'],
		{ text: 'Lanterns on the quay' },
		{ joins: true }
	),
	kind(
		'open',
		'index',
		'Index',
		'What stands on which page.',
		['table'],
		{ title: 'Index', columns: columns(['Pages', 4], ['What', 20]) },
		{ expects: 'a line a title' }
	),
	kind(
		'plan',
		'month-calendar',
		'Month calendar',
		'Every day of the month at a glance, with room for events.',
		['month-grid', 'six-column-grid', 'weekday-rows', 'month-list', 'mini-calendar'],
		{ span: 'spread' },
		{ importance: 'must', ownSpread: true }
	),
	kind(
		'plan',
		'year-strip',
		'Year strip',
		'A box for each of the twelve months, for what is far ahead.',
		['boxes', 'grid-table'],
		{
			title: 'Year ahead',
			items: names('Birthdays', 'Trips', 'Bills'),
			rules: { boxes: { named: 'months' }, 'grid-table': { across: 'months' } }
		}
	),
	kind(
		'plan',
		'events',
		'Events',
		'What happens on which day, as a list down the page.',
		['month-list', 'table', 'day-lines'],
		{ title: 'Events', columns: columns(['Day', 2, 'date'], ['When', 3], ['What', 10]) }
	),
	kind('plan', 'deadlines', 'Deadlines', 'What must be done by when.', ['table', 'box'], {
		title: 'Deadlines',
		columns: columns(['By', 3], ['What', 9]),
		rules: { table: { entries: 12 } }
	}),
	kind(
		'plan',
		'goals',
		'Goals',
		'Three for the month, no more.',
		['lists', 'boxes', 'box', 'title'],
		{ title: 'Goals', rules: { lists: { lines: 3, marks: 'number', lineHeight: 2 } } }
	),
	kind(
		'plan',
		'goal-timeline',
		'Goal timeline',
		'A bar a goal across the days: it shows where they overlap.',
		['timeline'],
		{ title: 'Goals in time' }
	),
	kind(
		'plan',
		'tasks',
		'Tasks',
		'Half a page is enough, so as not to overload the month.',
		['lists', 'box', 'table'],
		{ title: 'Tasks', columns: columns(['What', 10], ['Done', 2, 'tick']) }
	),
	kind(
		'plan',
		'task-bank',
		'Task bank',
		'What may be done some time, to draw from.',
		['lists', 'table', 'box'],
		{ title: 'Task bank', columns: columns(['What', 10], ['Done', 2, 'tick']) }
	),
	kind(
		'plan',
		'composed',
		'Composed page',
		'A page of your own making: a title, and whatever you put on it.',
		['composed'],
		{ title: 'My page', members: [{ kind: 'tasks' }, { kind: 'notes' }] }
	),
	kind(
		'plan',
		'month-plan',
		'Month plan',
		'What comes first, what if there is time, small things, and a box a week.',
		['composed', 'week-boxes-list', 'box'],
		{
			title: 'Month plan',
			members: [
				list('First', 3, 'number'),
				list('If there is time', 5),
				{ kind: 'tasks', title: 'Small things', form: 'lists' },
				{ kind: 'week-check-in', title: 'Week by week' }
			]
		}
	),
	kind(
		'plan',
		'overview',
		'Overview',
		'The month on one page: a small calendar, goals, what is due.',
		['composed'],
		{
			title: 'Overview',
			members: [
				{
					kind: 'mood',
					title: 'Days',
					form: 'mini-calendar',
					rules: { 'mini-calendar': { cell: 2 } }
				},
				{ kind: 'goals' },
				{ kind: 'deadlines' }
			]
		}
	),
	kind(
		'plan',
		'dashboard',
		'Dashboard',
		'What one looks at most, on one page: trackers, a log, boxes.',
		['composed', 'boxes', 'lists', 'grid-table', 'box'],
		{
			title: 'At a glance',
			members: [
				small('mood', 'Mood'),
				small('wellness', 'Stretch'),
				small('steps', 'Steps'),
				{ kind: 'exercise-log', rules: { table: { entries: 8 } } },
				{ kind: 'currently', parts: ['First', 'Then', 'Wait for', 'Home'] }
			]
		}
	),
	kind(
		'track',
		'health-page',
		'Health page',
		'Nights, steps and weight on one page.',
		['composed'],
		{
			title: 'Health',
			members: [{ kind: 'sleep' }, { kind: 'steps' }, { kind: 'weight' }]
		}
	),
	kind(
		'log',
		'cash-page',
		'Cash page',
		'What went out, what came in, what is to be bought.',
		['composed'],
		{
			title: 'Cash',
			members: [
				{ kind: 'spending', rules: { table: { entries: 20 } } },
				{ kind: 'income' },
				{ kind: 'shopping-list', title: 'To buy' },
				{ kind: 'wish-list', title: 'Can wait' }
			]
		}
	),
	kind('plan', 'timetable', 'Timetable', 'The hours of a usual week.', ['grid-table'], {
		title: 'Timetable',
		items: names('6', '8', '10', '12', '14', '16', '18', '20'),
		rules: { 'grid-table': { across: 'weekdays' } }
	}),
	kind(
		'plan',
		'routines',
		'Routines',
		'What belongs to a morning and to an evening.',
		['lists', 'boxes', 'box'],
		{ title: 'Routines', parts: ['Morning', 'Evening'] }
	),
	kind(
		'write',
		'intentions',
		'Intentions',
		'How the month is meant to feel.',
		['box', 'quote'],
		{ title: 'Intentions' },
		filler
	),
	kind(
		'review',
		'reflections',
		'Reflections',
		'What the month taught, in your own words.',
		['box', 'week-boxes-list'],
		{ title: 'Reflections' },
		filler
	),
	kind(
		'review',
		'week-check-in',
		'Week check-in',
		'One question, answered once a week.',
		['week-boxes-list', 'box'],
		{ title: 'What went well?' }
	),
	kind(
		'track',
		'habits',
		'Habit trackers',
		'A square filled on each day it was done.',
		[
			'matrix-days-down',
			'mini-calendar-set',
			'strips',
			'matrix-days-across',
			'rhythm-boxes',
			'ring'
		],
		{ title: 'Habits', items: names('Water', 'Walk', 'Read') }
	),
	kind(
		'track',
		'mood',
		'Mood',
		'One cell a day, coloured by a key of moods.',
		['day-cells', 'mini-calendar', 'day-lines', 'ring'],
		{
			title: 'Mood',
			rules: {
				'day-cells': { shape: 'hexagon' },
				'mini-calendar': { key: 'below' },
				'day-lines': { key: 'below' },
				ring: { key: 'below' }
			}
		}
	),
	kind(
		'track',
		'sleep',
		'Sleep',
		'A dot at falling asleep, a dot at waking, joined.',
		['hours', 'bed-wake', 'day-curve', 'day-columns'],
		{
			title: 'Sleep',
			columns: columns(['Bed', 3, 'text'], ['Up', 3, 'text'], ['Hours', 3]),
			rules: { 'day-curve': { first: 0, last: 12, step: 1 } }
		}
	),
	kind(
		'track',
		'work-hours',
		'Work hours',
		'When work began and ended, and how long it was.',
		['hours', 'day-columns', 'day-bars'],
		{
			title: 'Work hours',
			columns: columns(['From', 3, 'text'], ['To', 3, 'text'], ['Hours', 3]),
			rules: { hours: { from: 6 }, 'day-bars': { first: 0, last: 12, step: 1 } }
		}
	),
	kind(
		'track',
		'steps',
		'Steps',
		'Aim a fifth above last month’s average.',
		['day-bars', 'day-curve', 'day-columns', 'path'],
		{
			title: 'Steps',
			columns: columns(['Steps', 5]),
			rules: {
				'day-bars': { first: 0, last: 12_000, step: 2000 },
				'day-curve': { first: 0, last: 12_000, step: 1000 }
			}
		},
		{ grows: true }
	),
	kind(
		'track',
		'wellness',
		'Wellness',
		'Several small things side by side, a square a day each.',
		['matrix-days-down', 'matrix-days-across', 'mini-calendar-set', 'strips'],
		{ title: 'Wellness', items: names('Stretch', 'Fresh air', 'Fruit', 'No screens') }
	),
	kind(
		'track',
		'weight',
		'Weight',
		'A dot a day, joined to a line, to notice a pattern.',
		['day-curve', 'day-columns', 'day-bars'],
		{
			title: 'Weight',
			columns: columns(['Weight', 4]),
			rules: {
				'day-curve': { first: 55, last: 65, step: 1 },
				'day-bars': { first: 55, last: 65, step: 1 }
			}
		}
	),
	kind(
		'log',
		'exercise-log',
		'Exercise log',
		'What, how long, how it felt; twenty rows.',
		['table', 'day-lines'],
		{
			title: 'Exercise',
			columns: columns(['Day', 2, 'date'], ['What', 7], ['How long', 4]),
			rules: { table: { entries: 20 } }
		}
	),
	kind(
		'track',
		'study-tracker',
		'Study tracker',
		'Two by two squares a day: the date and three codes.',
		['mini-calendar', 'mini-calendar-set', 'day-cells'],
		{
			title: 'Study',
			levels: ['read', 'practised', 'tested'],
			rules: {
				'mini-calendar': { key: 'below' },
				'mini-calendar-set': { cell: 2, key: 'below' },
				'day-cells': { cell: 2 }
			}
		}
	),
	kind(
		'log',
		'spending',
		'Spending log',
		'What was bought, what it cost, and for what.',
		['table', 'day-lines'],
		{ title: 'Spending', columns: columns(['Item', 6], ['Cost ¤', 3], ['For', 3]) },
		{ expects: 'a line a day' }
	),
	kind('log', 'income', 'Income', 'What came in, and from where.', ['table'], {
		title: 'Income',
		columns: columns(['From', 6], ['Sum ¤', 4]),
		rules: { table: { entries: 6 } }
	}),
	kind(
		'log',
		'shopping-list',
		'Shopping list',
		'What is needed next time.',
		['lists', 'table', 'box'],
		{
			title: 'Shopping',
			columns: columns(['What', 8], ['Got', 2, 'tick']),
			rules: { table: { entries: 20 } }
		}
	),
	kind('log', 'wish-list', 'Wish list', 'What can wait, and may be forgotten.', ['table', 'box'], {
		title: 'Wish list',
		columns: columns(['What', 8], ['Cost ¤', 4]),
		rules: { table: { entries: 12 } }
	}),
	kind(
		'log',
		'purchases-by-urgency',
		'Purchases by urgency',
		'Now, soon, some day.',
		['lists', 'grid-table', 'table'],
		{ title: 'To buy', parts: ['Now', 'Soon', 'Some day'] }
	),
	kind(
		'plan',
		'meals',
		'Meals',
		'Morning, noon and evening of seven days.',
		['grid-table', 'week-boxes-list'],
		{ title: 'Meals' }
	),
	kind('log', 'parcels', 'Parcels', 'What is on its way: sent, arrived.', ['table'], {
		title: 'Parcels',
		columns: columns(['Item', 8], ['Sent', 3, 'tick'], ['Arrived', 4, 'tick']),
		rules: { table: { entries: 10 } }
	}),
	kind('log', 'orders', 'Orders', 'What was ordered, from whom, and when it is due.', ['table'], {
		title: 'Orders',
		columns: columns(['Item', 7], ['From', 5], ['Due', 3]),
		rules: { table: { entries: 12 } }
	}),
	kind(
		'plan',
		'content-plan',
		'Content plan',
		'What is to be shown or told on which day.',
		['month-grid', 'month-list', 'table'],
		{ title: 'Content', columns: columns(['Day', 2, 'date'], ['What', 9], ['Where', 4]) }
	),
	kind(
		'track',
		'week-tracker',
		'Week tracker',
		'A few things to tick on each of seven days: for the weekly pages.',
		['grid-table'],
		{
			title: 'This week',
			items: names('Water', 'Stretch', 'Practice'),
			rules: { 'grid-table': { across: 'weekdays' } }
		}
	),
	kind(
		'log',
		'follower-counts',
		'Follower counts',
		'A number a week, carried into the next month.',
		['grid-table', 'table'],
		{
			title: 'Followers',
			parts: ['Count', 'Change'],
			columns: columns(['Week', 3], ['Count', 4, 'number'], ['Change', 4, 'number']),
			rules: { 'grid-table': { down: 'weeks' }, table: { entries: 6 } }
		}
	),
	kind('log', 'media-log', 'Media log', 'Seen, heard, played; and whether again.', ['table'], {
		title: 'Seen and heard',
		columns: columns(['What', 9], ['Day', 2, 'date'], ['Again', 3]),
		rules: { table: { entries: 15 } }
	}),
	kind('log', 'reading-list', 'Reading list', 'Books to read and books read.', ['table', 'box'], {
		title: 'Reading',
		columns: columns(['Title', 9], ['Done', 3, 'tick']),
		rules: { table: { entries: 15 } }
	}),
	kind(
		'write',
		'favourites',
		'Favourites',
		'The best of the month in boxes of their own.',
		['boxes', 'grid-table', 'box'],
		{ title: 'Favourites', parts: ['Song', 'Meal', 'Place', 'Word'] }
	),
	kind(
		'write',
		'currently',
		'Currently',
		'Reading, playing, baking, waiting for.',
		['boxes', 'grid-table', 'box'],
		{ title: 'Currently', parts: ['Reading', 'Playing', 'Baking', 'Waiting for'] }
	),
	kind(
		'write',
		'topic-to-study',
		'Topic to study',
		'One thing to learn about, with room for notes.',
		['box'],
		{ title: 'To study' },
		freeWriting
	),
	kind(
		'write',
		'one-line-a-day',
		'One line a day',
		'A line for each day, every second one tinted.',
		['day-lines', 'month-list'],
		{ title: 'One line a day' }
	),
	kind(
		'write',
		'gratitude',
		'Gratitude',
		'Something to be glad of each day; with free lines it takes two pages.',
		['day-lines', 'month-list', 'week-boxes-list'],
		{ title: 'Gratitude' }
	),
	kind(
		'write',
		'highlights',
		'Highlights',
		'The best of each day in a few words.',
		['month-list', 'month-grid', 'day-lines'],
		{ title: 'Highlights' }
	),
	kind(
		'track',
		'happiness',
		'Happiness',
		'A bar of 0 to 100 % a day, and a paragraph a week about causes.',
		['day-bars', 'day-curve', 'day-lines', 'day-cells'],
		{ title: 'Happiness', rules: { 'day-bars': { bar: 10 } } }
	),
	kind('review', 'milestones', 'Milestones', 'What was reached, and when.', ['table', 'path'], {
		title: 'Milestones',
		columns: columns(['Day', 2, 'date'], ['What', 11]),
		rules: { table: { entries: 8 } }
	}),
	kind(
		'write',
		'affirmations',
		'Affirmations',
		'Sentences to come back to.',
		['quote', 'box'],
		{ text: 'I have time. I may begin again tomorrow.' },
		freeWriting
	),
	kind(
		'track',
		'goals-and-rewards',
		'Goals and rewards',
		'Steps on a path, with a reward at every tenth.',
		['path', 'table'],
		{
			title: 'Step by step',
			note: 'Every tenth step earns:',
			columns: columns(['Steps', 3], ['Reward', 10]),
			rules: { path: { entries: 40 }, table: { entries: 6 } }
		}
	),
	kind(
		'write',
		'brain-dump',
		'Brain dump',
		'An open box for whatever comes to mind; it takes what is left over.',
		['box', 'blank'],
		{ title: 'Brain dump' },
		freeWriting
	),
	kind(
		'write',
		'notes',
		'Notes',
		'Room that is not yet spoken for.',
		['box', 'blank'],
		{ title: 'Notes' },
		freeWriting
	),
	kind(
		'log',
		'chores-last-done',
		'Chores last done',
		'Chores down, the twelve months across: a year on one page.',
		['grid-table', 'table'],
		{
			title: 'Last done',
			items: names('Filters', 'Windows', 'Oven', 'Bellows'),
			rules: { 'grid-table': { across: 'months' } }
		}
	),
	kind(
		'log',
		'stock-list',
		'Stock list',
		'What is in the cupboard, and how much of it.',
		['table'],
		{
			title: 'Stock',
			columns: columns(['What', 8], ['Have', 3, 'number'], ['Need', 3, 'number']),
			rules: { table: { entries: 20 } }
		}
	),
	// On the last page of a book; what is found goes into the drying times of the making screen.
	kind(
		'log',
		'ink-test',
		'Ink test',
		'A stroke of each ink, wiped at once, after one and five minutes, and under water.',
		['grid-table', 'boxes'],
		{
			title: 'Ink test',
			items: names('Fine liner', 'Brush pen', 'Gel pen', 'Pencil'),
			parts: ['At once', '1 min', '5 min', 'Water', 'Behind']
		}
	),
	kind(
		'write',
		'project-page',
		'Project page',
		'One project with its parts and notes.',
		['box', 'boxes', 'lists', 'grid-table'],
		{ title: 'Project' },
		freeWriting
	),
	kind('log', 'packing-list', 'Packing list', 'What goes along, in parts.', ['lists', 'table'], {
		title: 'Packing',
		parts: ['To wear', 'To wash', 'On the way', 'Papers'],
		columns: columns(['What', 8], ['Packed', 3, 'tick']),
		rules: { lists: { marks: 'box' }, table: { entries: 24 } }
	}),
	kind(
		'log',
		'vocabulary',
		'Vocabulary',
		'Words of another language, and theirs here.',
		['table'],
		{
			title: 'New words',
			columns: columns(['Word', 7], ['Means', 7]),
			rules: { table: { entries: 30 } }
		}
	),
	kind(
		'plan',
		'cleaning-plan',
		'Cleaning plan',
		'What is cleaned on which day of the week.',
		['grid-table', 'lists'],
		{
			title: 'Cleaning',
			items: names('Kitchen', 'Bath', 'Floors', 'Linen', 'Stairs'),
			rules: { 'grid-table': { across: 'weekdays' } }
		}
	),
	kind(
		'track',
		'screen-time',
		'Screen time',
		'A bar a day, in hours.',
		['day-bars', 'day-curve', 'day-cells'],
		{
			title: 'Screen time',
			unit: 'h',
			rules: {
				'day-bars': { first: 0, last: 8, step: 1 },
				'day-curve': { first: 0, last: 8, step: 1 }
			}
		}
	),
	kind(
		'track',
		'no-spend-days',
		'Days without spending',
		'A square for each day on which nothing was spent.',
		['mini-calendar', 'ring'],
		{ title: 'Nothing spent' }
	),
	kind(
		'open',
		'colour-legend',
		'Legend of colours',
		'Which colour stands for what this month.',
		['table', 'boxes'],
		{
			title: 'Colours',
			columns: columns(['Colour', 4], ['Stands for', 9]),
			rules: { table: { entries: 8 } }
		}
	),
	kind(
		'log',
		'swatches',
		'Swatches',
		'A box to try each colour in, with its name.',
		['boxes', 'grid-table'],
		{
			title: 'Swatches',
			parts: ['1', '2', '3', '4', '5', '6', '7', '8', '9', '10', '11', '12']
		}
	),
	kind(
		'track',
		'year-temperature',
		'Temperature of the year',
		'A square a day for all twelve months, coloured by how warm it was.',
		['grid-table'],
		{
			title: 'The year in degrees',
			items: Array.from({ length: 31 }, (_, day) => ({ name: String(day + 1) })),
			rules: { 'grid-table': { across: 'months' } }
		}
	),
	kind(
		'log',
		'bills-by-month',
		'Bills by months',
		'What is paid again and again, and whether it was.',
		['grid-table', 'table'],
		{
			title: 'Bills',
			items: names('Rent', 'Power', 'Telephone', 'Insurance', 'Water'),
			columns: columns(['Bill', 6], ['Sum ¤', 4, 'money'], ['Paid', 3, 'tick']),
			rules: { 'grid-table': { across: 'months' }, table: { entries: 10 } }
		}
	),
	kind('log', 'savings', 'Savings', 'What was put by, and what it comes to.', ['table', 'path'], {
		title: 'Savings',
		columns: columns(['Day', 2, 'date'], ['Put by ¤', 5, 'money'], ['Sum ¤', 5, 'money']),
		rules: { table: { entries: 12 } }
	}),
	kind(
		'write',
		'letter-to-myself',
		'Letter to myself',
		'A page to be read again at the end of the month, or in a year.',
		['box', 'blank'],
		{ title: 'Dear me' },
		freeWriting
	),
	kind(
		'write',
		'sections',
		'Sections',
		'A few boxes, each with a name of its own.',
		['boxes', 'grid-table', 'lists'],
		{ title: 'Sections', parts: ['One', 'Two', 'Three', 'Four'] }
	),
	kind(
		'week',
		'weekly-pages',
		'Weekly pages',
		'Seven days and a spare box, over two pages.',
		['week-boxes', 'week-columns', 'week-rows', 'week-staggered', 'week-halves'],
		{ weeks: { belong: 'touching', short: 'own', pagesPerWeek: 2 } }
	),
	kind(
		'review',
		'month-review',
		'Month review',
		'What was used, what stayed empty, what to carry on.',
		['boxes', 'box', 'week-boxes-list'],
		{
			title: 'Month review',
			parts: ['What was used', 'What stayed empty', 'What ran over', 'What I carry on'],
			rules: { boxes: { ruled: 'lined' } }
		}
	)
];

const byId = new Map(kinds.map((kind) => [kind.id, kind]));

/** The kind with this id, if there is one. */
export function kindById(id: string): Kind | undefined {
	return byId.get(id);
}
