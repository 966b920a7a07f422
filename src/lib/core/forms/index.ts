import { bedWake } from './bed-wake';
import { blank } from './blank';
import { box } from './box';
import { boxes } from './boxes';
import { cover } from './cover';
import { dayBars } from './day-bars';
import { dayCells } from './day-cells';
import { dayLines } from './day-lines';
import type { Form } from './form';
import { withFigures } from './figures';
import { gridTable } from './grid-table';
import { withHalves } from './halves';
import { hours } from './hours';
import { lists } from './lists';
import { matrixDaysAcross } from './matrix-days-across';
import { matrixDaysDown } from './matrix-days-down';
import { miniCalendar } from './mini-calendar';
import { miniCalendarSet } from './mini-calendar-set';
import { withNotes } from './notes';
import { monthGrid } from './month-grid';
import { monthList } from './month-list';
import { path } from './path';
import { quote } from './quote';
import { rhythmBoxes } from './rhythm-boxes';
import { ring } from './ring';
import { sixColumnGrid } from './six-column-grid';
import { strips } from './strips';
import { table } from './table';
import { timeline } from './timeline';
import { title } from './title';
import { weekBoxes } from './week-boxes';
import { weekBoxesList } from './week-boxes-list';
import { weekColumns } from './week-columns';
import { weekHalves } from './week-halves';
import { weekRows } from './week-rows';
import { weekStaggered } from './week-staggered';
import { weekdayRows } from './weekday-rows';

export * from './form';
export * from './misfit';
export * from './content';
export * from './rule';
export { titleStyle } from './common-rules';
export { hexagonAt, hexagonColour, hexagonField } from './hexagon';

/** Every way a page can be ruled. */
export const forms: readonly Form[] = [
	title,
	quote,
	box,
	boxes,
	lists,
	weekBoxesList,
	withFigures(miniCalendar),
	withNotes(withFigures(miniCalendarSet)),
	monthGrid,
	sixColumnGrid,
	weekdayRows,
	monthList,
	withNotes(withHalves(matrixDaysDown)),
	withNotes(matrixDaysAcross),
	withNotes(withFigures(strips)),
	withNotes(rhythmBoxes),
	withNotes(withFigures(ring)),
	withFigures(dayCells),
	dayLines,
	withHalves(dayBars),
	withHalves(hours),
	withHalves(bedWake),
	table,
	timeline,
	gridTable,
	path,
	weekRows,
	weekColumns,
	weekBoxes,
	weekStaggered,
	weekHalves,
	cover,
	blank
];

const byId = new Map(forms.map((form) => [form.id, form]));

/** The form with this id, if there is one. */
export function formById(id: string): Form | undefined {
	return byId.get(id);
}
