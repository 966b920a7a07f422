import { text, type Mark } from '../../draw';
import { letters, lettersIn } from '../../hand';
import { cellOf } from '../../month';
import type { Rect } from '../../paper';
import type { CalendarPart } from './calendar-cells';
import { datePlace } from '../form/common-rules';
import { rowsBeside } from '../parts/date-square';
import type { Setting } from '../form/form';
import type { PlannedEvent } from '../form/content';

/** Events of the month, by day, in order. */
function eventsByDay({ content, month }: Setting): Map<number, PlannedEvent[]> {
	const days = new Map<number, PlannedEvent[]>();
	for (const event of content.events ?? []) {
		if (event.day > month.days) continue;
		days.set(event.day, [...(days.get(event.day) ?? []), event]);
	}
	return days;
}

/** Rows of a cell that its date takes. */
function dateRows(setting: Setting): 0 | 1 {
	return datePlace.of(setting) === 'none' ? 0 : 1;
}

/** Rows that the busiest day needs: 1 for the date and 1 for each event (common practice). */
export function busiestDay(setting: Setting): { events: number; rows: number } {
	const events = Math.max(0, ...[...eventsByDay(setting).values()].map((list) => list.length));
	return { events, rows: dateRows(setting) + events };
}

/** Events that find no row in a cell of a height. */
export function unfitEvents(setting: Setting, height: number): PlannedEvent[] {
	return [...eventsByDay(setting).values()].flatMap((events) =>
		events.slice(Math.max(0, height - dateRows(setting)))
	);
}

function words({ time, text }: PlannedEvent): string {
	return time ? `${time} ${text}` : text;
}

/** Fewer letters of an event's words than these beside its time, the full stop among them, say nothing. */
const leastWords = 2;

/** An event on one line of a width: whole, or its words shortened; without its time only where hardly a word would be left. */
export function fitEvent(event: PlannedEvent, width: number, { hand }: Setting): string {
	const most = lettersIn(width, hand);
	if (letters(words(event)).length <= most) return words(event);
	const time = event.time ? `${event.time} ` : '';
	const left = most - time.length;
	return left >= leastWords ? time + shortened(event.text, left) : shortened(event.text, most);
}

function shortened(text: string, most: number): string {
	const all = letters(text);
	return all.length <= most ? text : `${all.slice(0, Math.max(1, most - 1)).join('')}.`;
}

/** An event's words in so many lines of a width at most, parted between words; the last one is shortened where they do not fit. */
function eventLines(event: PlannedEvent, width: number, rows: number, setting: Setting): string[] {
	const most = lettersIn(width, setting.hand);
	const parts = words(event).split(/\s+/);
	const lines: string[] = [];
	while (parts.length > 0 && lines.length < rows - 1) {
		let line = shortened(parts.shift() ?? '', most);
		while (parts[0] !== undefined && letters(`${line} ${parts[0]}`).length <= most)
			line += ` ${parts.shift()}`;
		lines.push(line);
	}
	if (lines.length === 0) return [fitEvent(event, width, setting)];
	return parts.length > 0 ? [...lines, shortened(parts.join(' '), most)] : lines;
}

/** So many rows each of a day's events takes: one, and of the rows that are free as many as it needs, the first one first. */
function rowsOfEvents(
	events: readonly PlannedEvent[],
	width: number,
	rows: number,
	setting: Setting
): number[] {
	let free = Math.max(0, rows - events.length);
	return events.map((event) => {
		const wanted = eventLines(event, width, 1 + free, setting).length;
		free -= wanted - 1;
		return wanted;
	});
}

/** Events of a day in its cell, in the rows that its date leaves: a line each, more where there are rows for its words. */
export function dayEventMarks(setting: Setting, day: number, cell: Rect): Mark[] {
	const rows = rowsBeside(setting, cell);
	const events = (eventsByDay(setting).get(day) ?? []).slice(0, rows.length);
	const counts = rowsOfEvents(events, cell.w, rows.length, setting);
	const lines = events.flatMap((event, at) => eventLines(event, cell.w, counts[at] ?? 1, setting));
	return rows.slice(0, lines.length).map((y, line) => {
		const rect = { x: cell.x, y, w: cell.w, h: 1 };
		return text(lines[line] ?? '', rect, 'hand', 'start');
	});
}

/** Events of a day on one line, shortened to its width; nothing on a day without any. */
export function dayEventLine(setting: Setting, day: number, place: Rect): Mark[] {
	const events = eventsByDay(setting).get(day) ?? [];
	if (events.length === 0) return [];
	const all = { day, text: events.map(words).join('; ') };
	return [text(fitEvent(all, place.w, setting), place, 'hand', 'start')];
}

/** Events in the cells of one part, in the rows that the dates leave. */
export function eventMarks(setting: Setting, part: CalendarPart, top: number): Mark[] {
	const marks: Mark[] = [];
	for (const day of eventsByDay(setting).keys()) {
		const { row, column } = cellOf(setting.month, day);
		if (column < part.first || column >= part.first + part.columns) continue;
		const x = part.origin.x + (column - part.first) * part.cell.w;
		const y = part.origin.y + top + row * part.cell.h;
		marks.push(...dayEventMarks(setting, day, { x, y, ...part.cell }));
	}
	return marks;
}

/** Events without a row in their cell, one below the other in a side column. */
export function sideColumnMarks(setting: Setting, height: number, column: Rect): Mark[] {
	return unfitEvents(setting, height)
		.slice(0, column.h)
		.map((event, line) =>
			text(
				fitEvent(
					{ ...event, text: `${event.day} ${event.text}`, time: undefined },
					column.w,
					setting
				),
				{ x: column.x, y: column.y + line, w: column.w, h: 1 },
				'hand',
				'start'
			)
		);
}

/** What the events need of the cells, and which find no room, in words. */
export function eventSums(setting: Setting, height: number): string[] {
	const busiest = busiestDay(setting);
	if (busiest.events === 0) return [];
	const unfit = unfitEvents(setting, height);
	const listed = unfit
		.slice(0, 4)
		.map((event) => `${event.day} ${event.text}`)
		.join(', ');
	return [
		`busiest day: ${dateRows(setting) > 0 ? 'date 1 + ' : ''}${busiest.events} ${busiest.events === 1 ? 'event' : 'events'} = ${busiest.rows} of ${height}`,
		...(unfit.length > 0
			? [
					`no room in the cell for ${listed}${unfit.length > 4 ? ` and ${unfit.length - 4} more` : ''}`
				]
			: [])
	];
}
