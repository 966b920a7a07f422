import type { Change, Entry } from '../../records';
import { entryKey, timesText, type Tracker } from '../../records';
import { subjectKey } from '../../draw';
import { formatMonth, type YearMonth } from '../../month';
import { list, missing, record, whole, words } from '../schema/rules';
import { readJson, type Fault } from '../document/plan-document';

const clock = () =>
	words(40)
		.matches(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}/, 'must be a time such as 2027-04-03T23:10:00+02:00')
		.required(missing);

const bandSchema = record({
	device: words(100),
	days: list(
		record({
			date: words(10)
				.matches(/^\d{4}-\d{2}-\d{2}$/, 'must be a day such as 2027-04-03')
				.required(missing),
			steps: whole(0, 200_000),
			sleep: list(record({ from: clock(), to: clock() }).required(missing), 0, 20)
		}).required(missing),
		0,
		400
	).required(missing)
}).required(missing);

/** What a band told of a month, for one tracker. */
export type BandRead =
	| {
			readonly ok: true;
			readonly changes: readonly Change[];
			/** Days that the band has nothing of. */
			readonly gaps: readonly number[];
			/** Days on which something else stands already; it stays. */
			readonly other: readonly number[];
	  }
	| { readonly ok: false; readonly faults: readonly Fault[] };

/**
 * Steps or nights of a month from a band’s answer (JSON), into a tracker of numbers or of times. Times are those that the
 * clock showed where it was worn, so clock changes need no reckoning; a night in two parts is two spans; a day without
 * anything stays blank, and what a person wrote is left alone.
 */
export function readBand(
	text: string,
	tracker: Tracker,
	month: YearMonth,
	known: ReadonlyMap<string, Entry>
): BandRead {
	const read = readJson(bandSchema, text);
	if (!read.ok) return read;
	const days = new Map(read.value.days.map((day) => [day.date, day]));
	const fields = tracker.fields.filter(
		({ about, holds }) => about.day !== undefined && (holds === 'number' || holds === 'times')
	);
	const changes: Change[] = [];
	const gaps: number[] = [];
	const other: number[] = [];
	for (const { about, holds } of fields) {
		const { day = 0 } = about;
		const told = days.get(`${formatMonth(month)}-${String(day).padStart(2, '0')}`);
		const value = holds === 'number' ? String(told?.steps ?? '') : nightText(told?.sleep ?? []);
		const key = { wish: tracker.wish.id, about: subjectKey(about) };
		const there = known.get(entryKey(key))?.value;
		if (value === '') gaps.push(day);
		else if (there === undefined) changes.push({ ...key, holds, value });
		else if (there !== value) other.push(day);
	}
	return { ok: true, changes, gaps, other };
}

function nightText(parts: readonly { readonly from: string; readonly to: string }[]): string {
	const minutes = (text: string) => Number(text.slice(11, 13)) * 60 + Number(text.slice(14, 16));
	return timesText(
		parts
			.map(({ from, to }) => ({ from: minutes(from), to: minutes(to) }))
			.filter(({ from, to }) => from !== to && from < 1440 && to < 1440)
	);
}
