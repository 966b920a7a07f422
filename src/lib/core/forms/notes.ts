import { line, text, type Mark } from '../draw';
import { breakLines, lettersIn, wordsOf } from '../hand';
import { ranked, type Form, type Layout, type Room, type Setting } from './form';
import { showGoals } from './labels';
import { openChoice } from './rule';

/** What stands for done on a tracker. */
const done = openChoice({
	name: 'done',
	label: 'Done is',
	unsaid: 'not said',
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
	unsaid: 'not said',
	options: [
		['left', 'left empty'],
		['crossed', 'crossed'],
		['dashed', 'dashed']
	]
});

const missedWords = { left: 'left empty', crossed: 'crossed', dashed: 'dashed' } as const;

const mostLines = 8;
/** Notes below a narrow tracker may be wider than it, up to this width. */
const usualWidth = 16;

/** What stands below a tracker: how it is marked, what counts as done, which habits belong together. */
function notesOf(setting: Setting): string[] {
	const { items, note } = setting.content;
	const [yes, no] = [done.of(setting), missed.of(setting)];
	const told = [...(yes ? [`${yes}: done`] : []), ...(no ? [`${missedWords[no]}: missed`] : [])];
	const groups = new Map<string, string[]>();
	for (const { group, short, name } of items ?? [])
		if (group) groups.set(group, [...(groups.get(group) ?? []), short ?? name]);
	return [
		...(told.length > 0 ? [told.join(', ')] : []),
		...(note ? [note] : []),
		...[...groups].map(([group, names]) => `${group}: ${names.join(', ')}`)
	];
}

/** The notes broken into lines of a width; undefined when a word is too long for it. */
function linesIn(setting: Setting, width: number): string[] | undefined {
	const broken = notesOf(setting).map((note) =>
		breakLines(wordsOf(note), lettersIn(width, setting.hand))
	);
	return broken.every((note) => note !== undefined)
		? broken.flatMap((note) => note?.lines ?? [])
		: undefined;
}

/** The room without its lowest rows. */
function lowered(room: Room, rows: number): Room {
	if (room.span === 'page') return { ...room, h: room.h - rows };
	const part = (size: { w: number; h: number }) => ({ ...size, h: size.h - rows });
	return { ...room, left: part(room.left), right: part(room.right) };
}

/** The room with its first part as wide as its notes. */
function widened(room: Room, w: number): Room {
	return room.span === 'page' ? { ...room, w } : { ...room, left: { ...room.left, w } };
}

function firstPart(room: Room): { w: number; h: number } {
	return room.span === 'page' ? room : room.left;
}

/**
 * A tracker with its notes below: a free row, then lines of text. Without notes the tracker is as it is.
 * The notes are as wide as the tracker, or up to 16 squares below a narrow one, so how many lines they
 * take depends on how it is ruled.
 */
export function withNotes(form: Form): Form {
	return {
		...form,
		content: [...form.content, 'note'],
		rules: [...form.rules, done, missed, showGoals],
		layouts: (setting, room) => {
			if (notesOf(setting).length === 0) return form.layouts(setting, room);
			const layouts: Layout[] = [];
			for (let count = 1; count <= mostLines && count + 1 < firstPart(room).h; count++) {
				const answer = form.layouts(setting, lowered(room, count + 1));
				if (answer.length === 0) break;
				for (const layout of answer) {
					const own = firstPart(layout.room).w;
					// Only what is drawn in this room anyway may be widened: others stay as narrow as they are.
					const most = layout === answer[0] ? Math.min(usualWidth, firstPart(room).w) : 0;
					const width = Math.max(own, most);
					const lines = linesIn(setting, width);
					if (lines?.length === count) layouts.push(noted(layout, lines, width));
				}
			}
			return ranked(layouts);
		}
	};
}

function noted(layout: Layout, lines: readonly string[], w: number): Layout {
	const { h } = firstPart(layout.room);
	const rows = lines.length + 1;
	return {
		...layout,
		room: widened(lowered(layout.room, -rows), w),
		why: [
			...layout.why,
			`1 + ${lines.length} ${lines.length === 1 ? 'line' : 'lines'} of notes below`
		],
		marks: () => {
			const [first = [], ...rest] = layout.marks();
			const notes = lines.map((words, index): Mark =>
				text(words, { x: 0, y: h + 1 + index, w, h: 1 }, 'hand', 'start')
			);
			return [[...first, ...notes, line(0, h + 1, Math.min(w, 4), h + 1)], ...rest];
		}
	};
}
