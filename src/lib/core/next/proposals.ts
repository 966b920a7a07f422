import type { Item } from '../forms';
import type { YearMonth } from '../month';
import type { Size } from '../paper';
import { rateOf, type Full, type HabitTally, type Tally } from '../records';
import { allWishes, withChanged, without, withSiblings, type Wish } from '../wish';
import type { Kept, Proposal } from './proposal';
import { aimProposal, largerCells } from './room-proposals';
import { columnProposals, rowsProposal, withRows } from './table-proposals';

/** What a person says of something that was kept. */
export const verdicts = ['keep', 'smaller', 'larger', 'rest', 'drop'] as const;

export type Verdict = (typeof verdicts)[number];

/** What a look at some months comes to: what is proposed, and why of the rest nothing is. */
export interface Review {
	readonly proposals: readonly Proposal[];
	readonly unchanged: readonly { readonly wish: string; readonly why: string }[];
}

/** Met so often for two months, a habit is second nature; so seldom, it is dropped without regret. */
const [secondNature, seldom] = [0.9, 1 / 6];

/**
 * What the next month should hold, from the last months' records: `lately` begins with the last month. A person's own
 * verdicts go first; `sizes` says how large things would be in the next month as it stands, where that is known.
 */
export function review(
	lately: readonly (readonly Kept[])[],
	next: YearMonth,
	verdict: Readonly<Record<string, Verdict>> = {},
	sizes: ReadonlyMap<string, Size> = new Map()
): Review {
	const proposals: Proposal[] = [];
	const unchanged: { wish: string; why: string }[] = [];
	const [last = [], ...before] = lately;
	for (const month of last) {
		const { wish } = month.tracker;
		const kept = { ...month, size: sizes.get(wish.id) ?? month.size };
		const earlier = before.flatMap((month) =>
			month.filter(({ tracker }) => tracker.wish.id === wish.id)
		);
		const own = verdict[wish.id];
		const found =
			own && own !== 'keep'
				? [byVerdict(kept, own)]
				: own === 'keep'
					? []
					: proposalsFor(kept, earlier, next);
		proposals.push(...found);
		if (found.length === 0)
			unchanged.push({
				wish: wish.id,
				why: own === 'keep' ? 'You keep it as it is.' : asItIs(kept)
			});
	}
	return { proposals, unchanged };
}

function proposalsFor(kept: Kept, earlier: readonly Kept[], next: YearMonth): Proposal[] {
	const { tally, figures } = kept;
	// Of what nobody recorded nothing is known.
	if (!isRecorded(tally)) return kept.full ? saidProposals(kept, kept.full, earlier) : [];
	const wider =
		figures && figures.needed > figures.there
			? largerCells(
					kept,
					'wider',
					`95 of 100 numbers take up to ${figures.needed} squares in your hand, a place has ${figures.there}.`
				)
			: [];
	switch (tally.of) {
		case 'rows':
			return [...rowsProposal(kept, tally, earlier, next), ...columnProposals(kept, tally)];
		case 'room':
			return roomProposal(kept, tally, earlier);
		case 'marks':
			return habitProposals(kept, tally, earlier);
		case 'numbers':
			return [
				...wider,
				...tally.rows.flatMap(({ tally: own }) =>
					own?.next === undefined ? [] : aimProposal(kept, own.next, own.mean)
				)
			];
		case 'levels':
		case 'times':
		case 'texts':
			return [];
	}
}

/** Whether anything was written down of it, besides how full it became. */
function isRecorded(tally: Tally): boolean {
	switch (tally.of) {
		case 'rows':
			return tally.used > 0;
		case 'marks':
			return tally.rows.some(isMarked);
		case 'levels':
			return tally.days.size > 0;
		case 'times':
			return tally.nights.size > 0;
		case 'numbers':
			return tally.rows.some(({ values }) => values.length > 0);
		case 'texts':
			return tally.filled > 0;
		case 'room':
			return tally.full.length > 0;
	}
}

/** Whether anybody marked a habit at all: one that nobody marked was not missed every day. */
function isMarked({ days, tally }: Pick<MarkRow, 'days' | 'tally'>): boolean {
	return days.size > 0 || tally.met > 0;
}

type MarkRow = Extract<Tally, { of: 'marks' }>['rows'][number];

/** What follows where only one word is known of a page. */
function saidProposals(kept: Kept, full: Full, earlier: readonly Kept[]): Proposal[] {
	const again = earlier[0]?.full === 'empty';
	const { of } = kept.tally;
	const cells = largerCells(kept, 'both', 'It was too small for what was written.');
	switch (full) {
		case 'over':
			if (of === 'rows') return [byVerdict(kept, 'larger', 'It ran over.')];
			return cells.length > 0 || (of !== 'texts' && of !== 'room')
				? cells
				: [byVerdict(kept, 'larger', 'It ran over.')];
		case 'empty':
			return [
				again
					? byVerdict(kept, 'rest', `It stayed empty twice; ${asGood}.`)
					: of === 'rows'
						? byVerdict(kept, 'smaller', 'It stayed empty.')
						: byVerdict(kept, 'rest', `It stayed empty; ${asGood}.`)
			];
		case 'quarter':
			return of === 'rows' ? [byVerdict(kept, 'smaller', 'Three quarters stayed empty.')] : [];
		case 'half':
		case 'full':
			return [];
	}
}

function roomProposal(
	kept: Kept,
	tally: Extract<Tally, { of: 'room' }>,
	earlier: readonly Kept[]
): Proposal[] {
	const [before] = earlier;
	const all = (full: string, one: Tally | undefined) =>
		one?.of === 'room' && one.full.length > 0 && one.full.every((found) => found === full);
	if (all('empty', tally) && all('empty', before?.tally))
		return [resized(kept, 'half', 'It stayed empty twice.')];
	if (tally.full.includes('over')) return [resized(kept, 'double', 'It ran over.')];
	return [];
}

/** A box or free page that is as wide, and half or twice as high; what does not fit a page goes on on another one. */
function resized(
	{ tracker: { wish, name }, size, page }: Kept,
	to: 'half' | 'double',
	why: string
): Proposal {
	const h = to === 'half' ? Math.max(4, Math.ceil(size.h / 2)) : 2 * size.h;
	const proposal = { id: `${wish.id} ${to}`, wish: wish.id, why };
	if (h > page.h)
		return {
			...proposal,
			what: `${name}: a page more`,
			change: (wishes) => withCopy(wishes, wish.id)
		};
	return {
		...proposal,
		what: `${name}: ${to === 'half' ? 'half' : 'twice'} the room, ${size.w} × ${h} squares instead of ${size.w} × ${size.h}`,
		change: (wishes) =>
			withChanged(wishes, wish.id, (old) => ({
				...old,
				pin: undefined,
				filler: to === 'half' ? false : old.filler,
				size: { w: size.w, h }
			}))
	};
}

/** Wishes with another one like one of them behind it. */
function withCopy(wishes: readonly Wish[], id: string): readonly Wish[] {
	const taken = new Set(allWishes(wishes).map((wish) => wish.id));
	const ids = Array.from(
		{ length: taken.size + 1 },
		(_, at) => `${id}-more${at > 0 ? at + 1 : ''}`
	);
	const free = ids.find((one) => !taken.has(one)) ?? id;
	return withSiblings(wishes, id, (siblings, at) => {
		const wish = siblings[at];
		return wish ? siblings.toSpliced(at + 1, 0, { ...wish, id: free, pin: undefined }) : siblings;
	});
}

function habitProposals(
	kept: Kept,
	tally: Extract<Tally, { of: 'marks' }>,
	earlier: readonly Kept[]
): Proposal[] {
	const { wish } = kept.tracker;
	const [before] = earlier;
	return tally.rows.flatMap(({ item, days, tally: own }): Proposal[] => {
		if (!wish.items?.some(({ name }) => name === item.name)) return [];
		const rate = rateOf(own);
		const earlierRow =
			before?.tally.of === 'marks'
				? before.tally.rows.find((row) => row.item.name === item.name)
				: undefined;
		const old = earlierRow && isMarked(earlierRow) ? earlierRow.tally : undefined;
		const rateBefore = old && rateOf(old);
		if (rate === undefined || !isMarked({ days, tally: own })) return [];
		const counted = `${own.met} of ${own.due}${old ? ` after ${old.met} of ${old.due}` : ''}`;
		const gone = (wishes: readonly Wish[]) =>
			withChanged(wishes, wish.id, (all) => ({
				...all,
				items: all.items?.filter(({ name }) => name !== item.name)
			}));
		if (rateBefore !== undefined && rate >= secondNature && rateBefore >= secondNature)
			return [
				{
					id: `${wish.id} rest ${item.name}`,
					wish: wish.id,
					what: `${item.name} rests`,
					why: `${counted}: now routine, no need to track it.`,
					change: gone,
					leavesOut: true
				}
			];
		if (rateBefore !== undefined && rate < seldom && rateBefore < seldom)
			return [
				{
					id: `${wish.id} drop ${item.name}`,
					wish: wish.id,
					what: `${item.name} is dropped`,
					why: `${counted}: dropped without regret, or made smaller by hand.`,
					change: gone,
					leavesOut: true
				}
			];
		return rhythmProposal(wish, item, own, kept.days);
	});
}

/** “3 to 4 a week” becomes what was done, and one more; where much more was done, what was done. */
function rhythmProposal(
	wish: Wish,
	item: Item,
	{ met, due = 0, byWeekday }: HabitTally,
	days: number
): Proposal[] {
	const goal = item.goal ?? 3;
	if (item.rhythm !== 'times-a-week' || due === 0) return [];
	const times = byWeekday.reduce((sum, count) => sum + count, 0);
	const changed = (fields: Partial<Item>) => (wishes: readonly Wish[]) =>
		withChanged(wishes, wish.id, (old) => ({
			...old,
			items: old.items?.map((own) => (own.name === item.name ? { ...own, ...fields } : own))
		}));
	const proposal = { id: `${wish.id} rhythm ${item.name}`, wish: wish.id };
	const weekly = Math.min(7, Math.round((7 * times) / days));
	if (weekly > (item.upTo ?? goal))
		return [
			{
				...proposal,
				what: `${item.name} ${weekly === 7 ? 'every day' : `${weekly} a week`} instead of ${goal}${weekly === 7 ? ' a week' : ''}`,
				why: `Done ${times} times in ${days} days: about ${weekly} a week.`,
				change: changed(
					weekly === 7
						? { rhythm: 'daily', goal: undefined, upTo: undefined }
						: { goal: weekly, upTo: undefined }
				)
			}
		];
	const done = Math.max(1, Math.round((goal * met) / due));
	const [least, most] = [done, Math.min(7, done + 1)];
	if (least >= goal) return [];
	return [
		{
			...proposal,
			what: `${item.name} ${least} to ${most} a week instead of ${goal}`,
			why: `${met} of ${due}: about ${least} a week were done, and one more is in reach.`,
			change: changed({ goal: least, upTo: most })
		}
	];
}

const bySaying = 'You say so.';
const asGood = 'dropping it is as good as keeping it';

function byVerdict(kept: Kept, verdict: Exclude<Verdict, 'keep'>, why = bySaying): Proposal {
	const { wish, name } = kept.tracker;
	if (verdict === 'rest' || verdict === 'drop') {
		const rests = verdict === 'rest';
		const own = rests ? 'You say so; it may come back any month.' : `You say so; ${asGood}.`;
		return {
			id: `${wish.id} ${verdict}`,
			wish: wish.id,
			what: rests ? `${name} rests` : `${name}: dropped`,
			why: why === bySaying ? own : why,
			change: (wishes) => without(wishes, wish.id),
			leavesOut: true
		};
	}
	const { tally } = kept;
	if (tally.of !== 'rows') return resized(kept, verdict === 'smaller' ? 'half' : 'double', why);
	const rows = Math.max(1, Math.round(tally.ruled * (verdict === 'smaller' ? 0.5 : 1.5)));
	return {
		id: `${wish.id} ${verdict}`,
		wish: wish.id,
		what: `${name}: ${rows} rows instead of ${tally.ruled}`,
		why,
		rows: { name, needed: rows },
		change: (wishes) =>
			withRows(
				wishes,
				wish.id,
				kept.form,
				Math.min(rows, kept.mostRows || rows),
				Math.max(0, rows - (kept.mostRows || rows))
			)
	};
}

/** Why nothing is proposed for something. */
function asItIs({ tally, tracker }: Kept): string {
	switch (tally.of) {
		case 'rows':
			return tally.used === 0
				? 'Nothing was written into it, so nothing is known of how many rows it needs.'
				: `${tally.used} of ${tally.ruled} rows were used: near enough.`;
		case 'room':
			return tally.full.length === 0
				? 'Nobody said how full it became.'
				: 'It was neither empty twice nor too small.';
		case 'marks':
			if (!isRecorded(tally)) return 'Nothing was marked.';
			// What has no names, such as a small calendar, is no list of habits.
			if (!tracker.wish.items?.length)
				return 'It has a place for each day, whatever is marked there.';
			return 'No habit was met nine times in ten, or less than once in six, for two months.';
		default:
			return 'It has a place for each day, whatever is written there.';
	}
}
