import type { FieldMark, Subject } from '$lib/core/draw';
import {
	monthTitle,
	weekdayNames,
	weekdayOf,
	weekdayOrder,
	type MonthShape
} from '$lib/core/month';

/** What a field is about in words: “Walk, Tue 4”, “row 3, Cost”. */
export function fieldWords({ about }: FieldMark, tracker: string, month: MonthShape): string {
	return subjectWords(about, tracker, month);
}

/** What something is about in words. */
export function subjectWords(
	{ item, day, week, row, column, nth }: Subject,
	tracker: string,
	month: MonthShape
): string {
	return [
		item ?? tracker,
		day === undefined ? undefined : dayWords(day, month),
		week === undefined ? undefined : `week ${week}`,
		row === undefined ? undefined : `line ${row}`,
		column,
		nth === undefined ? undefined : `no. ${nth}`
	]
		.filter(Boolean)
		.join(', ');
}

/** “Tue 4” */
export function dayWords(day: number, month: MonthShape): string {
	const column = weekdayOrder(month.weekStart).indexOf(weekdayOf(month, day));
	return `${weekdayNames('en', month.weekStart, 'short')[column] ?? ''} ${day}`;
}

/** “Tue 4 May 2027” */
export function dateWords(day: number, month: MonthShape): string {
	return `${dayWords(day, month)} ${monthTitle('en', month)}`;
}

/** What is typed into a field, in a few words. */
export function howWords({ holds, levels }: FieldMark): string {
	switch (holds) {
		case 'mark':
			return 'x done, - missed, o not due';
		case 'level':
			return (levels ?? []).map((name, at) => `${at + 1} ${name}`).join(', ');
		case 'times':
			return 'such as 23:30-7:10';
		case 'full':
			return '0 empty, 1 a quarter, 2 half, 3 full, 4 ran over';
		case 'tick':
			return 'x';
		case 'date':
			return 'a day of the month';
		case 'money':
			return 'a sum';
		case 'number':
			return 'a number';
		case 'text':
			return 'words';
	}
}
