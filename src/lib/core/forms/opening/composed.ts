import type { Mark } from '../../draw';
import { titleStyle } from '../form/common-rules';
import {
	bothPages,
	ranked,
	type Form,
	type Layout,
	type Room,
	type RoomPlace,
	type Setting
} from '../form/form';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';
import type { Size } from '../../paper';

/** A smaller room holds nothing worth a page. */
const leastRoom = { w: 8, h: 6 };

/**
 * A page or spread with a title that holds other things: its room is all below the title; on the facing page it begins
 * in the same row, so that both have one frame. (Common practice.)
 */
export const composed: Form = {
	id: 'composed',
	name: 'Composed page',
	spans: ['page', 'spread'],
	wholePage: true,
	content: ['title'],
	rules: [titleStyle],
	rooms: [
		{ name: 'page', label: 'on the page' },
		{ name: 'left', label: 'on the left page' },
		{ name: 'right', label: 'on the right page' },
		{ name: bothPages, label: 'over both pages' }
	],
	layouts: (setting, room) => {
		const top = titleRows(setting);
		const rooms = roomsIn(room, top);
		if (rooms.some(({ w, h }) => w < leastRoom.w || h < leastRoom.h)) return [];
		const first = room.span === 'page' ? room : room.left;
		const layout: Layout = {
			room,
			discomfort: 0,
			stretches: true,
			facts: { title: top },
			why: [`${titleSum(top)}${first.h - top} for what it holds = ${first.h} down`],
			marks: () => marksOf(setting, first, room),
			rooms
		};
		return ranked([layout]);
	}
};

function roomsIn(room: Room, top: number): RoomPlace[] {
	const below = ({ w, h }: Size) => ({ x: 0, y: top, w, h: h - top });
	return room.span === 'page'
		? [{ name: 'page', on: 0, ...below(room) }]
		: [
				{ name: 'left', on: 0, ...below(room.left) },
				{ name: 'right', on: 1, ...below(room.right) }
			];
}

function marksOf(setting: Setting, first: Size, room: Room): Mark[][] {
	const title = titleMarks(setting, first.w, false);
	return room.span === 'page' ? [title] : [title, []];
}
