import { line, text, type Mark } from '../../draw';
import { breakLines, lettersIn, wordsOf } from '../../hand';
import { layoutsAbove, type Below } from '../parts/below';
import type { Form, Setting } from '../form/form';
import { showGoals } from '../parts/labels';
import { openChoice } from '../form/rule';

/** What stands for done on a tracker. */
const done = openChoice({
	name: 'done',
	label: 'Done is',
	unsaid: 'no mark',
	options: [
		['filled', 'filled'],
		['crossed', 'crossed'],
		['circled', 'circled'],
		['ticked', 'ticked'],
		['dotted', 'dotted']
	]
});

/** What stands for missed. */
const missed = openChoice({
	name: 'missed',
	label: 'Missed is',
	unsaid: 'no mark',
	options: [
		['left', 'left empty'],
		['crossed', 'crossed'],
		['dashed', 'dashed']
	]
});

const missedWords = { left: 'left empty', crossed: 'crossed', dashed: 'dashed' } as const;

/** Lines that notes may take. */
const noteHeights = [1, 2, 3, 4, 5, 6, 7, 8] as const;

/** What stands below a tracker: how it is marked, what counts as done, which habits belong together. */
function notesOf(setting: Setting, withGroups: boolean): string[] {
	const { items, note } = setting.content;
	const [yes, no] = [done.of(setting), missed.of(setting)];
	const told = [...(yes ? [`${yes}: done`] : []), ...(no ? [`${missedWords[no]}: missed`] : [])];
	const groups = new Map<string, string[]>();
	for (const { group, short, name } of items ?? [])
		if (group && withGroups) groups.set(group, [...(groups.get(group) ?? []), short ?? name]);
	return [
		...(told.length > 0 ? [told.join(', ')] : []),
		...(note ? [note] : []),
		...[...groups].map(([group, names]) => `${group}: ${names.join(', ')}`)
	];
}

/** The notes broken into lines of a width; undefined when a word is too long for it. */
function linesIn(setting: Setting, notes: readonly string[], width: number): string[] | undefined {
	const broken = notes.map((note) => breakLines(wordsOf(note), lettersIn(width, setting.hand)));
	return broken.every((note) => note !== undefined)
		? broken.flatMap((note) => note?.lines ?? [])
		: undefined;
}

/**
 * A tracker with its notes below: a free row, then lines of text. Without notes the tracker is as it is. Groups are told
 * there unless the tracker has `headings` for them.
 */
export function withNotes(form: Form, groups: 'headings' | 'below' = 'below'): Form {
	return {
		...form,
		content: [...form.content, 'note'],
		rules: [...form.rules, done, missed, showGoals],
		layouts: (setting, room) => {
			const notes = [...(form.notes?.(setting) ?? []), ...notesOf(setting, groups === 'below')];
			if (notes.length === 0) return form.layouts(setting, room);
			return layoutsAbove(form, setting, room, noteHeights, (width) =>
				belowIn(setting, notes, width)
			);
		}
	};
}

/** A form with a note below it, where there is one. */
export function withNote(form: Form): Form {
	return {
		...form,
		content: [...form.content, 'note'],
		layouts: (setting, room) => {
			const { note } = setting.content;
			if (!note) return form.layouts(setting, room);
			return layoutsAbove(form, setting, room, noteHeights, (width) =>
				belowIn(setting, [note], width)
			);
		}
	};
}

function belowIn(setting: Setting, notes: readonly string[], w: number): Below | undefined {
	const lines = linesIn(setting, notes, w);
	if (!lines) return undefined;
	return {
		h: lines.length,
		why: `1 + ${lines.length} ${lines.length === 1 ? 'line' : 'lines'} of notes below`,
		marks: () => [
			...lines.map((words, y): Mark => text(words, { x: 0, y, w, h: 1 }, 'hand', 'start')),
			line(0, 0, Math.min(w, 4), 0)
		]
	};
}
