import type { Importance, Span, Wish } from '../forms';

/** What a journaler may want to keep. Adding a kind adds an entry here, never code. */
export interface Kind {
	readonly id: string;
	readonly name: string;
	/** What it is for, in the words of someone who keeps it. */
	readonly purpose: string;
	/** The form it usually takes; further forms it may take come after it. */
	readonly forms: readonly [string, ...string[]];
	/** Spans to try, the best liked first; all that the form has where this is absent. */
	readonly spans?: readonly Span[];
	readonly importance: Importance;
	readonly filler?: boolean;
	/** What a new wish of this kind starts with. */
	readonly start: Omit<Wish, 'id' | 'kind'>;
}

export const kinds: readonly Kind[] = [
	{
		id: 'cover',
		name: 'Cover',
		purpose: 'Opens the month: its name, a picture and a small calendar.',
		forms: ['cover'],
		importance: 'want',
		start: {}
	},
	{
		id: 'month-calendar',
		name: 'Month calendar',
		purpose: 'Every day of the month at a glance, with room for events.',
		forms: ['month-grid', 'mini-calendar'],
		importance: 'must',
		start: { span: 'spread' }
	},
	{
		id: 'quote',
		name: 'Quote',
		purpose: 'A sentence to live with for a month, in lines of even length.',
		forms: ['quote', 'title'],
		importance: 'want',
		filler: true,
		start: { text: 'Calm water is for the passengers; the engine room keeps its own weather.' }
	},
	{
		id: 'habits',
		name: 'Habit trackers',
		purpose: 'One small calendar a habit; a square is filled on each day it was done.',
		forms: ['mini-calendar-set'],
		importance: 'want',
		start: { title: 'Habits', items: [{ name: 'Water' }, { name: 'Walk' }, { name: 'Read' }] }
	},
	{
		id: 'brain-dump',
		name: 'Brain dump',
		purpose: 'An open box for whatever comes to mind; it takes what is left over.',
		forms: ['box'],
		importance: 'want',
		filler: true,
		start: { title: 'Brain dump' }
	}
];

const byId = new Map(kinds.map((kind) => [kind.id, kind]));

/** The kind with this id, if there is one. */
export function kindById(id: string): Kind | undefined {
	return byId.get(id);
}
