import { kindOf } from '../fit';
import { daysIn, type YearMonth } from '../month';
import type { Tally } from '../records';
import { withChanged, withRule, withSiblings, type Wish } from '../wish';
import type { Kept, Proposal } from './proposal';
import { priorDays, rateFrom, rowsFor, type Count } from './rows';

export type Rows = Extract<Tally, { of: 'rows' }>;

/** Entries of a month and the days in which they were made: a table that ran out says nothing of the days after. */
function countOf(tally: Rows, days: number, age: number): Count {
	return { entries: tally.used, days: tally.ranOut ?? days, age };
}

/** How many rows last the next month, where that is not about as many as there are. */
export function rowsProposal(
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
			why: `${told}; with the usual ${usual} a month counted as ${priorDays} days more that is ${(rate.shape / rate.days).toFixed(2)} a day, and ${rows} rows last ${days} days in about 9 of 10 months.${tally.ranOut === undefined ? '' : ` It ran out on day ${tally.ranOut}.`}`,
			rows: { name, needed: rows },
			change: (wishes) => withRows(wishes, wish.id, kept.form, first, rows - first)
		}
	];
}

/** The id of a table that goes on in another one ends so. */
export const moreEnd = '-more';

/** Wishes with one of them so many lines long, and behind it another one like it for the lines that are left. */
export function withRows(
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
	const other = id + moreEnd;
	return withSiblings(wishes, id, (siblings, at) => {
		const wish = siblings[at];
		if (!wish) return siblings;
		const others = siblings.filter((sibling) => sibling.id !== other);
		const again = more > 0 ? [{ ...ruled(wish, more), id: other, pin: undefined }] : [];
		return others.toSpliced(others.indexOf(wish), 1, ruled(wish, first), ...again);
	});
}

/** Columns that are too narrow for what was written into them. */
export function columnProposals(kept: Kept, tally: Rows): Proposal[] {
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
