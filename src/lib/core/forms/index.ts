import { bedWake } from './trackers/bed-wake';
import { blank } from './opening/blank';
import { box } from './lists/box';
import { boxes } from './lists/boxes';
import { cover } from './opening/cover';
import { composed } from './opening/composed';
import { dayBars } from './trackers/day-bars';
import { dayCells } from './trackers/day-cells';
import { dayColumns } from './logs/day-columns';
import { dayCurve } from './trackers/day-curve';
import { dayLines } from './trackers/day-lines';
import type { Form } from './form/form';
import { withGenerous } from './around/generous';
import { withFigures } from './around/figures';
import { gridTable } from './logs/grid-table';
import { withHalves } from './around/halves';
import { hours } from './trackers/hours';
import { lists } from './lists/lists';
import { matrixDaysAcross } from './trackers/matrix-days-across';
import { matrixDaysDown } from './trackers/matrix-days-down';
import { miniCalendar } from './calendars/mini-calendar';
import { miniCalendarSet } from './calendars/mini-calendar-set';
import { withKey } from './around/with-key';
import { withExpected } from './around/with-expected';
import { withNote, withNotes } from './around/notes';
import { monthGrid } from './calendars/month-grid';
import { monthList } from './calendars/month-list';
import { withOverTitle } from './around/over-title';
import { path } from './trackers/path';
import { picture } from './opening/picture';
import { quote } from './opening/quote';
import { rhythmBoxes } from './trackers/rhythm-boxes';
import { ring } from './trackers/ring';
import { withSideTitle } from './around/side-title';
import { sixColumnGrid } from './calendars/six-column-grid';
import { strips } from './trackers/strips';
import { table } from './logs/table';
import { timeline } from './logs/timeline';
import { title } from './opening/title';
import { weekBoxes } from './weeks/week-boxes';
import { weekBoxesList } from './lists/week-boxes-list';
import { weekColumns } from './weeks/week-columns';
import { weekHalves } from './weeks/week-halves';
import { weekShort } from './weeks/week-short';
import { weekRows } from './weeks/week-rows';
import { weekStaggered } from './weeks/week-staggered';
import { weekdayRows } from './calendars/weekday-rows';
import { withWeekDates } from './around/week-dates';
import { withWideTitle } from './around/wide-title';

export * from './form/facts';
export * from './form/form';
export * from './form/misfit';
export * from './form/content';
export * from './form/rule';
export { titleStyle } from './form/common-rules';
export { twoLines } from './parts/title-band';
export { fitTitle } from './parts/title-letters';
export { minutesOfPicture } from './opening/picture';
export { rhythmOf } from './parts/labels';
export { hexagonAt, hexagonColour, hexagonField, hexagonShapes } from './parts/hexagon';

const ruled: readonly Form[] = [
	title,
	quote,
	picture,
	box,
	boxes,
	withExpected(lists),
	weekBoxesList,
	withKey(withFigures(miniCalendar)),
	withNotes(withKey(withFigures(miniCalendarSet)), 'headings'),
	withKey(monthGrid),
	sixColumnGrid,
	weekdayRows,
	withKey(monthList),
	withNotes(withKey(withHalves(matrixDaysDown))),
	withNotes(withKey(matrixDaysAcross), 'headings'),
	withNotes(withKey(withFigures(strips))),
	withNotes(rhythmBoxes, 'headings'),
	withNotes(withKey(withFigures(ring))),
	withFigures(dayCells),
	withKey(dayLines),
	withKey(withHalves(dayBars)),
	dayCurve,
	withHalves(dayColumns),
	withHalves(hours),
	withHalves(bedWake),
	withExpected(table),
	timeline,
	gridTable,
	withNote(path),
	weekRows,
	weekColumns,
	weekBoxes,
	weekStaggered,
	weekHalves,
	weekShort,
	cover,
	composed,
	blank
];

/** Every way a page can be ruled. */
export const forms: readonly Form[] = ruled.map((form) => {
	const titled = withGenerous(withWideTitle(withOverTitle(withSideTitle(form))));
	// Outermost: wherever its title stands, it is the one with the dates.
	return form === composed ? withWeekDates(titled) : titled;
});

const byId = new Map(forms.map((form) => [form.id, form]));

/** The form with this id, if there is one. */
export function formById(id: string): Form | undefined {
	return byId.get(id);
}
