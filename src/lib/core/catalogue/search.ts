import { kinds } from './kinds';

/** What people also call the kinds, beside their names and what is said about them. */
const words: Readonly<Record<string, string>> = {
	cover: 'title page start front first opening',
	quote: 'saying lyric verse words song',
	picture: 'drawing doodle art sketch painting illustration sticker border',
	index: 'contents table of contents pages key',
	'month-calendar': 'calendar overview monthly birthday appointments dates',
	'year-strip': 'future log year ahead annual birthday yearly twelve months',
	events: 'appointments birthday birthdays dates agenda concert anniversaries important',
	deadlines: 'due tax contract bills',
	goals: 'aims resolutions targets intentions objectives',
	'goal-timeline': 'gantt bars timeline',
	tasks: 'to-do todo list checklist errands chores',
	'task-bank': 'to-do todo some day backlog later maybe',
	'month-plan': 'priorities to-do monthly plan',
	dashboard: 'overview summary at a glance',
	timetable: 'school schedule lessons shifts classes time blocking hours',
	routines: 'morning evening rituals self-care',
	intentions: 'theme mood of the month',
	reflections: 'review journal thoughts questions prompts',
	'week-check-in': 'weekly review',
	habits: 'tracker habit daily medication vitamins water period cycle grid streak',
	'week-tracker': 'habits weekly strip seven days',
	mood: 'feelings emotions pixels year in colour weather mental',
	sleep: 'bed night rest hours insomnia',
	'work-hours': 'shifts overtime time sheet job',
	steps: 'walking pedometer running walk',
	wellness:
		'health water medication medicine period cycle self-care symptoms headache pain hydration',
	weight: 'scales body kilos pounds',
	'exercise-log': 'workout training gym sport running fitness run yoga',
	'study-tracker': 'learning language course exam pomodoro revision',
	spending: 'expenses expense money budget finances bills cash costs purchases receipts no',
	'shopping-list': 'groceries grocery supermarket buy errands',
	'wish-list': 'gifts presents birthday wants',
	'purchases-by-urgency': 'buy needs wants money',
	meals: 'food menu cooking recipes diet dinner meal planning',
	parcels: 'post mail delivery packages returns',
	orders: 'delivery shop subscriptions contract',
	'content-plan': 'posts post social media blog video calendar editorial',
	'follower-counts': 'social media statistics',
	'media-log': 'film films movies movie series tv shows music games cinema watched watch',
	'reading-list': 'books book library novels read tbr',
	favourites: 'best of favorites favorite top',
	currently: 'now at the moment',
	'topic-to-study': 'learn notes research',
	'one-line-a-day': 'diary journal sentence memory',
	gratitude: 'thanks thankful grateful blessings',
	highlights: 'best moments memories memory diary',
	happiness: 'joy mood feelings percent',
	milestones: 'achievements accomplishments done record wins',
	affirmations: 'encouragement mantra',
	'goals-and-rewards': 'savings saving challenge debt progress reward',
	'brain-dump': 'ideas thoughts notes scribble mind map mindmap braindump doodle',
	notes: 'free page ideas blank empty',
	'chores-last-done':
		'cleaning household battery filters maintenance plants watering car last time done',
	'stock-list': 'pantry freezer inventory supplies batteries fridge',
	'project-page': 'trip party wedding event planning',
	'packing-list': 'travel trip luggage suitcase holiday vacation',
	vocabulary: 'words language learning translation',
	'cleaning-plan': 'household chores housework weekly',
	'screen-time': 'phone telephone computer hours digital',
	'no-spend-days': 'money saving budget challenge',
	'colour-legend': 'key color colours code pens markers symbols',
	swatches: 'colors pens markers paint test',
	'year-temperature': 'weather pixels annual degrees climate',
	'bills-by-month': 'payments rent subscriptions insurance annual',
	savings: 'money saving put aside fund sinking jar challenge',
	'letter-to-myself': 'future self time capsule diary',
	sections: 'boxes blocks areas custom',
	'weekly-pages': 'weekly spread week planner days agenda horizontal vertical',
	'month-review': 'looking back summary reflection end of month wrap up recap'
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

/** Words that people say without meaning any one kind by them. */
const small = new Set(
	'a an the i my me our of for to and or in on at by with what when which how did do does is was it'.split(
		' '
	)
);
/** Words for any page that is kept: they find nothing by themselves where another word is said. */
const general = new Set(
	'tracker trackers track tracking log logs list lists page pages spread spreads chart charts journal planner plan sheet layout template schedule monthly'.split(
		' '
	)
);

/**
 * How well something is meant by what a person typed, 0 where it is not: each word that says anything begins a word of its name,
 * of what is said about it or of what people also call it, or is a near miss of one. Names count most.
 */
export function meaning({ name, about, kind }: Findable, typed: string): number {
	const own = wordsOf(name);
	const known = wordsOf(`${about} ${words[kind] ?? ''}`);
	const said = wordsOf(typed);
	// “To do” and “bullet list” are written in one word as well.
	const special = said.filter((word) => !general.has(word));
	if (special.length > 1 && [...own, ...known].includes(special.join(''))) return 3;
	const telling = special.filter((word) => !small.has(word));
	const asked = telling.length > 0 ? telling : said;
	const values = asked.map((word) => Math.max(2 * match(word, own), match(word, known)));
	if (values.some((value) => value === 0)) return 0;
	const also = said.filter((word) => general.has(word) && own.includes(word)).length;
	return (
		values.reduce((sum, value) => sum + value, 0) / Math.max(1, asked.length) +
		also / 4 +
		(own.length === asked.length ? 0.1 : 0)
	);
}

/** How well a word agrees with the best of some: 2 where it is one of them, 1 where it begins one, less for a near miss. */
function match(word: string, known: readonly string[]): number {
	if (known.includes(word)) return 2;
	if (known.some((other) => other.startsWith(word))) return 1;
	return known.some((other) => distance(word, other) <= misses(word)) ? 0.5 : 0;
}

/** Whether something is meant by what a person typed; by nothing everything is. */
export function isMeant(one: Findable, typed: string): boolean {
	return wordsOf(typed).length === 0 || meaning(one, typed) > 0;
}

/** Kinds that are called by what a person typed, the nearest first. */
export function kindsCalled(typed: string): typeof kinds {
	if (wordsOf(typed).length === 0) return kinds;
	return kinds
		.map((kind) => ({ kind, value: meaning({ ...kind, kind: kind.id }, typed) }))
		.filter(({ value }) => value > 0)
		.sort((a, b) => b.value - a.value)
		.map(({ kind }) => kind);
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
