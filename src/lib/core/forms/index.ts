import { bedWake } from './bed-wake';
import { blank } from './blank';
import { box } from './box';
import { boxes } from './boxes';
import { cover } from './cover';
import { composed } from './composed';
import { dayBars } from './day-bars';
import { dayCells } from './day-cells';
import { dayColumns } from './day-columns';
import { dayCurve } from './day-curve';
import { dayLines } from './day-lines';
import type { Form } from './form';
import { withGenerous } from './generous';
import { withFigures } from './figures';
import { gridTable } from './grid-table';
import { withHalves } from './halves';
import { hours } from './hours';
import { lists } from './lists';
import { matrixDaysAcross } from './matrix-days-across';
import { matrixDaysDown } from './matrix-days-down';
import { miniCalendar } from './mini-calendar';
import { miniCalendarSet } from './mini-calendar-set';
import { withKey } from './with-key';
import { withExpected } from './with-expected';
import { withNote, withNotes } from './notes';
import { monthGrid } from './month-grid';
import { monthList } from './month-list';
import { path } from './path';
import { quote } from './quote';
import { rhythmBoxes } from './rhythm-boxes';
import { ring } from './ring';
import { withSideTitle } from './side-title';
import { sixColumnGrid } from './six-column-grid';
import { strips } from './strips';
import { table } from './table';
import { timeline } from './timeline';
import { title } from './title';
import { weekBoxes } from './week-boxes';
import { weekBoxesList } from './week-boxes-list';
import { weekColumns } from './week-columns';
import { weekHalves } from './week-halves';
import { weekShort } from './week-short';
import { weekRows } from './week-rows';
import { weekStaggered } from './week-staggered';
import { weekdayRows } from './weekday-rows';
import { withWideTitle } from './wide-title';

export * from './form';
export * from './misfit';
export * from './content';
export * from './rule';
export { titleStyle } from './common-rules';
export { naturalWidth, twoLines } from './title-band';
export { rhythmOf } from './labels';
export { hexagonAt, hexagonColour, hexagonField } from './hexagon';

const ruled: readonly Form[] = [
	title,
	quote,
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
export const forms: readonly Form[] = ruled.map((form) =>
	withGenerous(withWideTitle(withSideTitle(form)))
);

const byId = new Map(forms.map((form) => [form.id, form]));

/** The form with this id, if there is one. */
export function formById(id: string): Form | undefined {
	return byId.get(id);
}
