import type { Form, Layout, Room, Setting } from '../../forms';
import { charge } from '../solve';

/** What finding a form's layouts counts for, in choices tried (measured: by time it is about as much). */
const perCall = 100;

/** The layouts of a form in a room, counted as work. */
export function layoutsOf(form: Form, setting: Setting, room: Room): readonly Layout[] {
	charge(perCall);
	return form.layouts(setting, room);
}
