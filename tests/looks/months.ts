import { begin, idGiver, kindById } from '../../src/lib/core/catalogue';
import type { Aim, Plan } from '../../src/lib/core/fit';
import { defaultHand } from '../../src/lib/core/hand';
import type { Notebook } from '../../src/lib/core/paper';
import type { Wish } from '../../src/lib/core/wish';
import { randomFrom } from '../support/problems';

const book = (
	name: string,
	width: number,
	height: number,
	pitchMm: number,
	columns: number,
	rows: number
): Notebook => ({
	name,
	pageMm: { width, height },
	pitchMm,
	columns,
	rows,
	gutter: 2,
	freePages: [{ first: 10, last: 130 }],
	pages: []
});

/** Books of common sizes. (Common practice; the squares are what is left inside their margins.) */
const books: readonly Notebook[] = [
	book('A5', 148, 210, 5, 28, 40),
	book('A5 narrow dots', 148, 210, 4, 35, 50),
	book('B5', 176, 250, 5, 34, 48),
	book('A4', 210, 297, 5, 40, 56),
	book('pocket', 90, 140, 5, 17, 26),
	book('B6', 125, 176, 5, 24, 34)
];

const names = (...all: string[]) => all.map((name) => ({ name }));

/** Ten sorts of people, by what they keep: invented, as everything here. */
const people: readonly (readonly (Partial<Wish> & Pick<Wish, 'kind'>)[])[] = [
	[
		{ kind: 'month-calendar' },
		{ kind: 'habits', items: names('Walk', 'Read', 'Water', 'No sugar', 'Bed by ten') },
		{ kind: 'mood' },
		{ kind: 'weekly-pages' },
		{ kind: 'brain-dump' }
	],
	[
		{ kind: 'month-calendar' },
		{ kind: 'spending' },
		{ kind: 'income' },
		{ kind: 'purchases-by-urgency' },
		{ kind: 'goals' }
	],
	[
		{ kind: 'month-calendar' },
		{ kind: 'sleep' },
		{ kind: 'steps' },
		{ kind: 'weight' },
		{ kind: 'meals' },
		{ kind: 'exercise-log' }
	],
	[
		{ kind: 'month-calendar', span: 'spread' },
		{ kind: 'tasks' },
		{ kind: 'study-tracker' },
		{ kind: 'timetable' },
		{ kind: 'topic-to-study' },
		{ kind: 'deadlines' }
	],
	[
		{ kind: 'gratitude' },
		{ kind: 'one-line-a-day' },
		{ kind: 'affirmations' },
		{ kind: 'notes' },
		{ kind: 'favourites' }
	],
	[
		{ kind: 'month-calendar' },
		{ kind: 'habits', items: names('Practise', 'Stretch', 'Call home') },
		{ kind: 'media-log' },
		{ kind: 'reading-list' },
		{ kind: 'currently' },
		{ kind: 'highlights' }
	],
	[{ kind: 'overview' }, { kind: 'dashboard' }, { kind: 'weekly-pages' }, { kind: 'month-review' }],
	[
		{ kind: 'month-calendar' },
		{ kind: 'content-plan' },
		{ kind: 'follower-counts' },
		{ kind: 'orders' },
		{ kind: 'parcels' },
		{ kind: 'stock-list' }
	],
	[
		{ kind: 'month-plan' },
		{ kind: 'health-page' },
		{ kind: 'cash-page' },
		{ kind: 'chores-last-done' },
		{ kind: 'shopping-list' }
	],
	[
		{ kind: 'events' },
		{ kind: 'goal-timeline' },
		{ kind: 'routines' },
		{ kind: 'wellness' },
		{ kind: 'happiness' },
		{ kind: 'milestones' },
		{ kind: 'reflections' }
	]
];

const aims: readonly Aim[] = ['balanced', 'fewest-pages', 'roomiest'];

/** An ordinary month from a seed: somebody's pages behind a cover with a quote, in one of the books. */
export function someMonth(seed: number): { readonly name: string; readonly plan: Plan } {
	const random = randomFrom(seed);
	const any = <T>(list: readonly T[]): T => {
		const one = list[Math.floor(random() * list.length)];
		if (one === undefined) throw new RangeError('nothing to choose from');
		return one;
	};
	const freeId = idGiver([]);
	const wish = ({ kind, ...more }: Partial<Wish> & Pick<Wish, 'kind'>): Wish => {
		const known = kindById(kind);
		if (!known) throw new RangeError(`no kind ${kind}`);
		return { ...begin(known, freeId), ...more };
	};
	const person = people[seed % people.length] ?? [];
	const more = any(people);
	const extra = random() < 0.4 ? [any(more)] : [];
	const cover = wish({ kind: 'cover' });
	const quote = wish({ kind: 'quote', ...(random() < 0.5 ? { facing: cover.id } : {}) });
	const aim = aims[Math.floor(seed / people.length) % aims.length] ?? 'balanced';
	const notebook = any(books);
	const month = { year: 2027 + Math.floor(random() * 4), month: 1 + Math.floor(random() * 12) };
	const plan: Plan = {
		notebook,
		month,
		weekStart: random() < 0.7 ? 'monday' : 'sunday',
		hand: defaultHand,
		locale: 'en',
		aim,
		wishes: [cover, ...[...person, ...extra].map(wish), quote]
	};
	return { name: `${seed} ${notebook.name} ${aim}`, plan };
}
