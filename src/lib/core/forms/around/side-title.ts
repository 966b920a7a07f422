import { move, type Mark } from '../../draw';
import { hangsTogether, leastCapital, letters } from '../../hand';
import type { Size } from '../../paper';
import { titleStyle } from '../form/common-rules';
import type { Form, Layout, Room, RoomPlace, Setting } from '../form/form';
import { drawnLetters } from '../parts/title-band';
import { naturalGap, titleLetter } from '../parts/title-letters';

/** Columns that a title down the side takes: its letters and a free one. */
const columns = titleLetter.w + 1;

/**
 * A form whose title may stand down its left side, letter below letter, where that is asked for: the rest is ruled in the
 * room without those columns and without a title of its own. Its letters have natural gaps or none; a block that is lower
 * than its title is not ruled so. (Common practice.)
 */
export function withSideTitle(form: Form): Form {
	if (!form.rules.includes(titleStyle)) return form;
	return {
		...form,
		layouts: (setting, room) => {
			const { title, ...content } = setting.content;
			if (!title || titleStyle.of(setting) !== 'side') return form.layouts(setting, room);
			// Letters that hang together do not stand one below the other.
			if (hangsTogether(title)) return [];
			const drawn = letters(title);
			const inner = withoutColumns(room, columns);
			return form
				.layouts({ ...setting, content }, inner)
				.flatMap((layout) => beside(setting, layout, drawn) ?? []);
		}
	};
}

function beside(setting: Setting, layout: Layout, drawn: readonly string[]): Layout | undefined {
	const { h } = firstPage(layout.room);
	const letter = { w: Math.max(titleLetter.w, leastCapital(setting.hand)), h: titleLetter.h };
	const gap = [naturalGap, 0].find((gap) => drawn.length * (letter.h + gap) - gap <= h);
	if (gap === undefined || letter.w >= columns) return undefined;
	const length = drawn.length * (letter.h + gap) - gap;
	const top = Math.floor((h - length) / 2);
	return {
		...layout,
		room: withoutColumns(layout.room, -columns),
		rooms: layout.rooms?.map((place) => moved(place, layout.room)),
		why: [
			`title ${columns} columns down the side: ${drawn.length} letters of ${letter.h}, gaps of ${gap} = ${length} of ${h} down`,
			...layout.why
		],
		marks: () => {
			const [first = [], ...rest] = layout.marks();
			const word = drawn.flatMap((sign, index): Mark[] =>
				drawnLetters(
					[sign],
					{ letter: letter.w, gap: 0, used: letter.w, margin: 0 },
					{ x: 0, y: top + index * (letter.h + gap), w: letter.w, h: letter.h }
				)
			);
			return [[...word, ...first.map((mark) => move(mark, { x: columns, y: 0 }))], ...rest];
		}
	};
}

/** A room as it lies in the block with its title: left of it as before, below all, or right of the title's columns. */
function moved(place: RoomPlace, room: Room): RoomPlace {
	const { w, h } = firstPage(room);
	if (place.on === 1 || place.x + place.w <= 0) return place;
	const below = place.y >= h && place.x <= 0 && place.x + place.w >= w;
	return below ? { ...place, w: place.w + columns } : { ...place, x: place.x + columns };
}

function withoutColumns(room: Room, less: number): Room {
	if (room.span === 'page') return { ...room, w: room.w - less };
	return { ...room, left: { ...room.left, w: room.left.w - less } };
}

function firstPage(room: Room): Size {
	return room.span === 'page' ? room : room.left;
}
