import { layoutsAbove, type Below } from '../parts/below';
import type { Form, Setting } from '../form/form';
import { keyIn, keyMarks, keyRule, levelsOf, swatch } from '../parts/key';

/** A form of days with a key of 2 to 6 colours below it, where that is asked for. */
export function withKey(form: Form): Form {
	return {
		...form,
		content: [...form.content, 'levels'],
		rules: [...form.rules, keyRule],
		idle: (rules) => (keyRule.of({ rules }) === 'none' ? ['levels'] : []),
		layouts: (setting, room) => {
			if (keyRule.of(setting) === 'none') return form.layouts(setting, room);
			// One row of the key for each level at most, two squares each and one between them.
			const heights = levelsOf(setting).map((_, row) => (row + 1) * (swatch + 1) - 1);
			return layoutsAbove(form, setting, room, heights, (width) => belowIn(setting, width));
		}
	};
}

function belowIn(setting: Setting, width: number): Below | undefined {
	const found = keyIn(setting, width);
	if (!found) return undefined;
	return {
		h: found.h,
		why: `1 + key ${found.h} below: ${found.names.length} colours, ${found.columns} abreast`,
		marks: () => keyMarks(found, { x: 0, y: 0 })
	};
}
