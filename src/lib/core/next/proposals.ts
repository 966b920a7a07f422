import { kindOf } from '../fit';
import type { Item } from '../forms';
import { daysIn, type YearMonth } from '../month';
import type { Size } from '../paper';
import { rateOf, type Tally, type Tracker } from '../records';
import { withChanged, withRule, withSiblings, without, type Wish } from '../wish';
import { rateFrom, rowsFor, type Count } from './rows';

/** What a person says of something that was kept. */
export const verdicts = ['keep', 'smaller', 'larger', 'rest'] as const;

export type Verdict = (typeof verdicts)[number];

/** A tracker of a month that is over, what was recorded of it, and how it is ruled. */
export interface Kept {
	readonly tracker: Tracker;
	readonly tally: Tally;
	readonly form: string;
	readonly days: number;
	/** Of its block. */
	readonly size: Size;
	/** Lines that a whole page gives it. */
	readonly mostRows: number;
}

/** A change to the next month's wishes, with what speaks for it. */
export interface Proposal {
	readonly id: string;
	readonly wish: string;
	/** What would change, in words. */
	readonly what: string;
	/** The sum or the evidence behind it, in words. */
	readonly why: string;
	readonly change: (wishes: readonly Wish[]) => readonly Wish[];
}

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
	const { tally } = kept;
	switch (tally.of) {
		case 'rows':
			return [...rowsProposal(kept, tally, earlier, next), ...columnProposals(kept, tally)];
		case 'room':
			return roomProposal(kept, tally, earlier);
		case 'marks':
			return habitProposals(kept, tally, earlier);
		case 'numbers':
		case 'levels':
		case 'times':
		case 'texts':
			return [];
	}
}

type Rows = Extract<Tally, { of: 'rows' }>;

/** Entries of a month and the days in which they were made: a table that ran out says nothing of the days after. */
function countOf(tally: Rows, days: number, age: number): Count {
	return { entries: tally.used, days: tally.ranOut ?? days, age };
}

function rowsProposal(
	kept: Kept,
	tally: Rows,
	earlier: readonly Kept[],
	next: YearMonth
): Proposal[] {
	const { wish, name } = kept.tracker;
	if (tally.used === 0) return [];
	const older = earlier.flatMap(({ tally: other, days }, at) =>
		other.of === 'rows' ? [countOf(other, days, at + 2)] : []
	);
	const counts = [countOf(tally, kept.days, 1), ...older];
	const days = daysIn(next);
	// What the person ruled says what they thought of, where that is little.
	const usual = Math.min(tally.ruled, kindOf(wish).expects === 'a line a day' ? 30 : 15);
	const rate = rateFrom(counts, usual);
	const rows = rowsFor(rate, days);
	const small = Math.abs(rows - tally.ruled) < 2;
	if (small || (rows < tally.ruled && rows > 0.8 * tally.ruled)) return [];
	// A table ends with its page; what it does not hold stands in another one.
	const first = kept.mostRows > 0 ? Math.min(rows, kept.mostRows) : rows;
	const told = counts.map(({ entries, days }) => `${entries} in ${days} days`).join(', ');
	return [
		{
			id: `${wish.id} rows`,
			wish: wish.id,
			what: `${name}: ${rows} rows instead of ${tally.ruled}${first < rows ? `, ${first} and ${rows - first} on two pages` : ''}`,
			why: `${told}: that is ${(rate.shape / rate.days).toFixed(2)} a day, and ${rows} rows last ${days} days in 9 of 10 months.${tally.ranOut === undefined ? '' : ` It ran out on day ${tally.ranOut}.`}`,
			change: (wishes) => withRows(wishes, wish.id, kept.form, first, rows - first)
		}
	];
}

/** Wishes with one of them so many lines long, and behind it another one like it for the lines that are left. */
function withRows(
	wishes: readonly Wish[],
	id: string,
	form: string,
	first: number,
	more: number
): readonly Wish[] {
	const name = form === 'lists' ? 'lines' : 'entries';
	const ruled = (wish: Wish, rows: number): Wish => ({
		...wish,
		size: undefined,
		rules: withRule(wish.rules, form, name, rows)
	});
	const other = `${id}-more`;
	return withSiblings(wishes, id, (siblings, at) => {
		const wish = siblings[at];
		if (!wish) return siblings;
		const others = siblings.filter((sibling) => sibling.id !== other);
		const again = more > 0 ? [{ ...ruled(wish, more), id: other, pin: undefined }] : [];
		return others.toSpliced(others.indexOf(wish), 1, ruled(wish, first), ...again);
	});
}

function columnProposals(kept: Kept, tally: Rows): Proposal[] {
	const { wish, name } = kept.tracker;
	return tally.columns.flatMap((column): Proposal[] => {
		const known = wish.columns?.find((own) => own.name === column.name);
		if (!known || column.needed <= column.width) return [];
		return [
			{
				id: `${wish.id} column ${column.name}`,
				wish: wish.id,
				what: `${name}: “${column.name}” ${column.needed} squares wide instead of ${column.width}`,
				why: `95 of 100 entries take up to ${column.needed} squares in your hand.`,
				change: (wishes) =>
					withChanged(wishes, wish.id, (old) => ({
						...old,
						columns: old.columns?.map((own) =>
							own.name === column.name ? { ...own, width: column.needed } : own
						)
					}))
			}
		];
	});
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

/** A box or free page that is as wide, and half or twice as high, within a page. */
function resized(
	{ tracker: { wish, name }, size }: Kept,
	to: 'half' | 'double',
	why: string
): Proposal {
	const h = to === 'half' ? Math.max(4, Math.ceil(size.h / 2)) : 2 * size.h;
	return {
		id: `${wish.id} ${to}`,
		wish: wish.id,
		what: `${name}: ${to === 'half' ? 'half' : 'twice'} the room, ${size.w} × ${h} squares instead of ${size.w} × ${size.h}`,
		why,
		change: (wishes) =>
			withChanged(wishes, wish.id, (old) => ({
				...old,
				pin: undefined,
				filler: to === 'half' ? false : old.filler,
				size: { w: size.w, h }
			}))
	};
}

function habitProposals(
	kept: Kept,
	tally: Extract<Tally, { of: 'marks' }>,
	earlier: readonly Kept[]
): Proposal[] {
	const { wish } = kept.tracker;
	const [before] = earlier;
	return tally.rows.flatMap(({ item, tally: own }): Proposal[] => {
		if (!wish.items?.some(({ name }) => name === item.name)) return [];
		const rate = rateOf(own);
		const old =
			before?.tally.of === 'marks'
				? before.tally.rows.find((row) => row.item.name === item.name)?.tally
				: undefined;
		const rateBefore = old && rateOf(old);
		if (rate === undefined) return [];
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
					why: `${counted}: second nature, it needs no square any more.`,
					change: gone
				}
			];
		if (rateBefore !== undefined && rate < seldom && rateBefore < seldom)
			return [
				{
					id: `${wish.id} drop ${item.name}`,
					wish: wish.id,
					what: `${item.name} is dropped`,
					why: `${counted}: dropped without regret, or made smaller by hand.`,
					change: gone
				}
			];
		return rhythmProposal(wish, item, own.met, own.due ?? 0);
	});
}

/** “3 to 4 a week” becomes what was done, and one more. */
function rhythmProposal(wish: Wish, item: Item, met: number, due: number): Proposal[] {
	const goal = item.goal ?? 3;
	if (item.rhythm !== 'times-a-week' || due === 0) return [];
	const done = Math.max(1, Math.round((goal * met) / due));
	const [least, most] = [done, Math.min(7, done + 1)];
	if (least >= goal) return [];
	return [
		{
			id: `${wish.id} rhythm ${item.name}`,
			wish: wish.id,
			what: `${item.name} ${least} to ${most} a week instead of ${goal}`,
			why: `${met} of ${due}: about ${least} a week were done, and one more is in reach.`,
			change: (wishes) =>
				withChanged(wishes, wish.id, (old) => ({
					...old,
					items: old.items?.map((own) =>
						own.name === item.name ? { ...own, goal: least, upTo: most } : own
					)
				}))
		}
	];
}

function byVerdict(kept: Kept, verdict: Exclude<Verdict, 'keep'>): Proposal {
	const { wish, name } = kept.tracker;
	if (verdict === 'rest')
		return {
			id: `${wish.id} rest`,
			wish: wish.id,
			what: `${name} rests`,
			why: 'You say so; dropping it is as good as keeping it.',
			change: (wishes) => without(wishes, wish.id)
		};
	const { tally } = kept;
	if (tally.of !== 'rows')
		return resized(kept, verdict === 'smaller' ? 'half' : 'double', 'You say so.');
	const rows = Math.max(1, Math.round(tally.ruled * (verdict === 'smaller' ? 0.5 : 1.5)));
	return {
		id: `${wish.id} ${verdict}`,
		wish: wish.id,
		what: `${name}: ${rows} rows instead of ${tally.ruled}`,
		why: 'You say so.',
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
function asItIs({ tally }: Kept): string {
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
			return 'No habit was met nine times in ten, or less than once in six, for two months.';
		default:
			return 'It has a place for each day, whatever is written there.';
	}
}
