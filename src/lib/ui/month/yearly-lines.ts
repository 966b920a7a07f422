import type { Yearly } from '$lib/core/next';
import { monthNames } from '$lib/core/month';
import type { LineFormat } from './field-lines';

const names = monthNames('en');

/** What comes every year as one writes it down: “24 December Grandmother’s birthday”. */
export const yearlyLines: LineFormat<Yearly> = {
	example: '24 December Grandmother’s birthday',
	write: (all) =>
		[...all]
			.sort((a, b) => a.month - b.month || a.day - b.day)
			.map(({ month, day, text }) => `${day} ${names[month - 1]} ${text}`)
			.join('\n'),
	read: (text) => {
		const lines = text
			.split('\n')
			.map((line) => line.trim())
			.filter(Boolean)
			.map((line) => ({ line, read: readLine(line) }));
		return {
			entries: lines.flatMap(({ read }) => read ?? []),
			unread: lines.flatMap(({ line, read }) => (read ? [] : [line]))
		};
	}
};

function readLine(line: string): Yearly | undefined {
	const found = /^(\d{1,2})\.?\s+(\p{L}+)\.?\s+(\S.*)$/u.exec(line);
	const [, day, name = '', text = ''] = found ?? [];
	const matching = names.flatMap((month, at) =>
		name.length >= 3 && month.toLowerCase().startsWith(name.toLowerCase()) ? [at + 1] : []
	);
	const [month] = matching;
	// A leap year has them all.
	const last = month === undefined ? 0 : new Date(Date.UTC(2028, month, 0)).getUTCDate();
	if (month === undefined || Number(day) < 1 || Number(day) > last) return undefined;
	return { month, day: Number(day), text };
}
