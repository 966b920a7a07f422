/** From a minute of a day to a later one; past midnight it goes beyond 1440. */
export interface TimeSpan {
	readonly from: number;
	readonly to: number;
}

const day = 24 * 60;

/**
 * Spans of time as people write them: “23:30-7:10”, “2330–710”, “22-6”, several parted by commas. What ends before it
 * begins ends on the next day. Undefined where a part is no span.
 */
export function readTimes(text: string): TimeSpan[] | undefined {
	const spans = text.split(/[,;]\s*/).map((part): TimeSpan | undefined => {
		const found = /^(\S+?)\s*[-–]\s*(\S+)$/.exec(part.trim());
		const from = clock(found?.[1]);
		const to = clock(found?.[2]);
		if (from === undefined || to === undefined || from === to) return undefined;
		return { from, to: to > from ? to : to + day };
	});
	return spans.every((span) => span !== undefined) ? spans : undefined;
}

/** Minutes since midnight of “7:10”, “7.10”, “0710”, “710” or “7”. */
function clock(text = ''): number | undefined {
	const found = /^(\d{1,2})(?:[:.](\d{2})|(\d{2}))?$/.exec(text);
	// “710” is ten past seven, and not the 71st hour.
	const short = /^(\d)(\d{2})$/.exec(text);
	const [hours, minutes] = short
		? [Number(short[1]), Number(short[2])]
		: [Number(found?.[1]), Number(found?.[2] ?? found?.[3] ?? 0)];
	return (found || short) && hours < 24 && minutes < 60 ? hours * 60 + minutes : undefined;
}

/** Spans in their plain form: “23:30-07:10”. */
export function timesText(spans: readonly TimeSpan[]): string {
	return spans.map(({ from, to }) => `${clockText(from)}-${clockText(to)}`).join(', ');
}

/** “07:10” of 430 minutes, or of 1870. */
export function clockText(minutes: number): string {
	const whole = ((Math.round(minutes) % day) + day) % day;
	return `${String(Math.floor(whole / 60)).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`;
}

/**
 * Mean of times of the day, in minutes: the direction of the sum of the times as directions on a circle, and their spread
 * √(−2 ln R) in minutes. (Mardia and Jupp, Directional Statistics, 2000; from memory.) Undefined where they point nowhere.
 */
export function circularMean(
	times: readonly number[]
): { readonly mean: number; readonly spread: number } | undefined {
	const angles = times.map((time) => (time / day) * 2 * Math.PI);
	const sin = angles.reduce((sum, angle) => sum + Math.sin(angle), 0);
	const cos = angles.reduce((sum, angle) => sum + Math.cos(angle), 0);
	const length = Math.hypot(sin, cos) / times.length;
	if (!(length > 1e-9)) return undefined;
	const mean = ((Math.atan2(sin, cos) / (2 * Math.PI)) * day + day) % day;
	const spread = (Math.sqrt(-2 * Math.log(Math.min(1, length))) / (2 * Math.PI)) * day;
	return { mean, spread };
}
