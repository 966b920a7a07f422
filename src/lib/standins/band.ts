import { seeded } from './seeded';

/** A day as a step and sleep band tells it: times by the clock of where it is worn, with the offset from UTC. */
export interface BandDay {
	/** 2027-04-03 */
	readonly date: string;
	readonly steps?: number;
	readonly sleep: readonly { readonly from: string; readonly to: string }[];
}

const two = (value: number) => String(Math.floor(value)).padStart(2, '0');

/** Minutes before or after midnight of a day as a clock shows them there. */
function clockAt(date: string, minutes: number, offset: number): string {
	const moment = new Date(Date.parse(`${date}T00:00:00Z`) + minutes * 60_000);
	const zone = `${offset < 0 ? '-' : '+'}${two(Math.abs(offset))}:00`;
	return `${moment.toISOString().slice(0, 16)}:00${zone}`;
}

/** Hours that clocks in central Europe are ahead of UTC on a day (last Sundays of March and October). */
function offsetOn(date: string): number {
	const [year = 0, month = 0, day = 0] = date.split('-').map(Number);
	const lastSunday = (of: number) => {
		const last = new Date(Date.UTC(year, of, 0));
		return last.getUTCDate() - last.getUTCDay();
	};
	const place = month * 100 + day;
	return place >= 300 + lastSunday(3) && place < 1000 + lastSunday(10) ? 2 : 1;
}

/**
 * What a band has of some days, the same for the same seed: most days have steps, some nights are in two parts, and now and
 * then it was not worn. With `gaps` it was not worn every third day.
 */
export function bandDays(from: string, to: string, seed: string, gaps = false): BandDay[] {
	const days: BandDay[] = [];
	for (
		let moment = Date.parse(`${from}T00:00:00Z`);
		moment <= Date.parse(`${to}T00:00:00Z`) && days.length < 400;
		moment += 86_400_000
	) {
		const date = new Date(moment).toISOString().slice(0, 10);
		const random = seeded(`${seed} ${date}`);
		const worn = random() > 0.07 && !(gaps && Number(date.slice(-2)) % 3 === 0);
		if (!worn) {
			days.push({ date, sleep: [] });
			continue;
		}
		const offset = offsetOn(date);
		const bed = -90 + 180 * random();
		const wake = 330 + 120 * random();
		const up = 160 + 60 * random();
		const parts =
			random() < 0.15
				? [
						[bed, up],
						[up + 25, wake]
					]
				: [[bed, wake]];
		// A night begins on the evening of its day.
		const sleep = parts.map(([start = 0, end = 0]) => ({
			from: clockAt(date, 1440 + start, offset),
			to: clockAt(date, 1440 + end, offset)
		}));
		days.push({ date, steps: Math.round(3000 + 9000 * random()), sleep });
	}
	return days;
}
