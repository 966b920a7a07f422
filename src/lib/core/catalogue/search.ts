import { kinds } from './kinds';

/** What people also call the kinds, beside their names and what is said about them. */
const words: Readonly<Record<string, string>> = {
	cover: 'title page start front',
	quote: 'saying lyric verse words',
	index: 'contents table of contents pages',
	'month-calendar': 'calendar overview monthly birthday appointments dates',
	'year-strip': 'future log year ahead annual birthday',
	events: 'appointments birthday dates agenda concert',
	deadlines: 'due tax contract bills',
	goals: 'aims resolutions targets',
	'goal-timeline': 'gantt bars timeline',
	tasks: 'to-do todo list checklist errands',
	'task-bank': 'to-do todo some day backlog',
	'month-plan': 'priorities to-do monthly plan',
	dashboard: 'overview summary at a glance',
	timetable: 'school schedule lessons shifts classes',
	routines: 'morning evening rituals self-care',
	intentions: 'theme mood of the month',
	reflections: 'review journal thoughts',
	'week-check-in': 'weekly review',
	habits: 'tracker habit daily medication vitamins water period cycle',
	'week-tracker': 'habits weekly strip seven days',
	mood: 'feelings emotions pixels year in colour weather',
	sleep: 'bed night rest hours',
	'work-hours': 'shifts overtime time sheet job',
	steps: 'walking pedometer running',
	wellness: 'health water medication period cycle self-care symptoms',
	weight: 'scales body kilos pounds',
	'exercise-log': 'workout training gym sport running',
	'study-tracker': 'learning language course exam pomodoro',
	spending: 'expenses money budget finances bills cash costs',
	'shopping-list': 'groceries supermarket buy errands',
	'wish-list': 'gifts presents birthday wants',
	'purchases-by-urgency': 'buy needs wants money',
	meals: 'food menu cooking recipes diet dinner',
	parcels: 'post mail delivery packages returns',
	orders: 'delivery shop subscriptions contract',
	'content-plan': 'posts social media blog video',
	'follower-counts': 'social media statistics',
	'media-log': 'film films movies series music games cinema watched',
	'reading-list': 'books library novels',
	favourites: 'best of favorites top',
	currently: 'now at the moment',
	'topic-to-study': 'learn notes research',
	'one-line-a-day': 'diary journal sentence memory',
	gratitude: 'thanks thankful grateful',
	highlights: 'best moments memories diary',
	happiness: 'joy mood feelings percent',
	milestones: 'achievements done record',
	affirmations: 'encouragement mantra',
	'goals-and-rewards': 'savings saving challenge debt progress',
	'brain-dump': 'ideas thoughts notes scribble',
	notes: 'free page ideas',
	'chores-last-done': 'cleaning household battery filters maintenance plants watering car',
	'stock-list': 'pantry freezer inventory supplies batteries',
	'project-page': 'travel trip project party wedding',
	'packing-list': 'travel trip luggage suitcase holiday',
	vocabulary: 'words language learning translation',
	'cleaning-plan': 'household chores housework weekly',
	'screen-time': 'phone telephone computer hours digital',
	'no-spend-days': 'money saving budget challenge',
	'colour-legend': 'key color code pens markers',
	swatches: 'colors pens markers paint test',
	'year-temperature': 'weather pixels annual degrees climate',
	'bills-by-month': 'payments rent subscriptions insurance annual',
	savings: 'money saving put aside fund sinking',
	'letter-to-myself': 'future self time capsule diary',
	sections: 'boxes blocks areas custom',
	'weekly-pages': 'weekly spread week planner days agenda',
	'month-review': 'looking back summary reflection'
};

/** Something that can be found by words. */
export interface Findable {
	readonly name: string;
	readonly about: string;
	/** The kind that it is, or was made from. */
	readonly kind: string;
}

/** Letters in which a word may differ from what was meant, by its length. */
const misses = (word: string) => (word.length >= 8 ? 2 : word.length >= 4 ? 1 : 0);

/**
 * Whether something is meant by what a person typed: each word begins a word of its name, of what is said about it or
 * of what people also call it, or is a near miss of one.
 */
export function isMeant({ name, about, kind }: Findable, typed: string): boolean {
	const known = wordsOf(`${name} ${about} ${words[kind] ?? ''}`);
	return wordsOf(typed).every((word) =>
		known.some((other) => other.startsWith(word) || distance(word, other) <= misses(word))
	);
}

/** Kinds that are called by what a person typed, those whose name says it first. */
export function kindsCalled(typed: string): typeof kinds {
	const found = kinds.filter((kind) => isMeant({ ...kind, kind: kind.id }, typed));
	const named = (name: string) =>
		wordsOf(typed).every((word) => wordsOf(name).some((own) => own.startsWith(word)));
	return [...found].sort((a, b) => Number(named(b.name)) - Number(named(a.name)));
}

function wordsOf(text: string): string[] {
	return text
		.toLowerCase()
		.replaceAll('-', '')
		.split(/[^\p{L}\p{N}]+/u)
		.filter(Boolean);
}

/** How many letters must be changed, added, left out or swapped with their neighbour (Damerau–Levenshtein, restricted). */
function distance(a: string, b: string): number {
	const rows: number[][] = [Array.from({ length: b.length + 1 }, (_, index) => index)];
	const at = (row: number, column: number) => rows[row]?.[column] ?? Infinity;
	for (let i = 1; i <= a.length; i++) {
		const row = [i];
		rows.push(row);
		for (let j = 1; j <= b.length; j++) {
			const same = a[i - 1] === b[j - 1] ? 0 : 1;
			const swapped = i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1];
			row.push(
				Math.min(
					at(i - 1, j) + 1,
					at(i, j - 1) + 1,
					at(i - 1, j - 1) + same,
					swapped ? at(i - 2, j - 2) + 1 : Infinity
				)
			);
		}
	}
	return at(a.length, b.length);
}
