import type { MonthChanges } from '$lib/core/fit';
import type { Wish } from '$lib/core/wish';
import { nameOf } from './block-name';

const mostNamed = 4;
const settingWords: Readonly<Record<MonthChanges['settings'][number], string>> = {
	month: 'another month',
	weekStart: 'another first day of the week',
	aim: 'another way to fit the month',
	sizes: 'other sizes tried',
	titles: 'titles done in another way',
	theme: 'other colours',
	drawn: 'pages drawn in the book',
	cuts: 'other cuts'
};

/** What changed in a month, as the end of a sentence: “added Habits; changed Cover and Mood; other colours.” */
export function changeWords({ added, removed, changed, settings, moved }: MonthChanges): string {
	const parts = [
		named('added', added),
		named('took away', removed),
		named('changed', changed),
		moved ? 'another order' : '',
		...settings.map((setting) => settingWords[setting])
	].filter(Boolean);
	return parts.length === 0 ? 'nothing that shows.' : `${parts.join('; ')}.`;
}

function named(what: string, wishes: readonly Wish[]): string {
	if (wishes.length === 0) return '';
	const names = wishes.slice(0, mostNamed).map(nameOf);
	const more = wishes.length - names.length;
	const all = more > 0 ? [...names, `${more} more`] : names;
	const last = all.at(-1) ?? '';
	return `${what} ${all.length > 1 ? `${all.slice(0, -1).join(', ')} and ${last}` : last}`;
}
