import { move } from '../../draw';
import type { Room } from '../../forms';
import type { Rect, Size } from '../../paper';
import { rectsOf, type Choice } from '../choices/choices';

/** What is held on each page of a room, counted from the room's first dot there. */
export type Taken = readonly [readonly Rect[], readonly Rect[]];

/** What a block and its members take together, in the terms of its room. */
export function footprintOf({ room, inside }: Choice): Room {
	if (!inside || inside.guests.length === 0) return room;
	const on = (page: 0 | 1, own: Size): Size => {
		const rects = inside.guests.flatMap((guest) => rectsOf(guest, page));
		const left = Math.min(0, ...rects.map(({ x }) => x));
		return {
			w: Math.max(own.w, ...rects.map(({ x, w }) => x + w)) - left,
			h: Math.max(own.h, ...rects.map(({ y, h }) => y + h))
		};
	};
	return room.span === 'page'
		? { ...room, ...on(0, room) }
		: { ...room, left: on(0, room.left), right: on(1, room.right) };
}

/** A choice as it is drawn with its members: the room of all together, and the marks of all. */
export function withGuests(choice: Choice): Choice {
	const { inside, room: own } = choice;
	if (!inside || inside.guests.length === 0) return choice;
	const room = footprintOf(choice);
	// Over a spread all lies against the fold.
	const outer = room.span === 'spread' && own.span === 'spread' ? room.left.w - own.left.w : 0;
	return {
		...choice,
		room,
		marks: () =>
			choice.marks().map((marks, on) =>
				[
					...marks,
					...inside.guests.flatMap((guest) => {
						const [at] = rectsOf(guest, on === 0 ? 0 : 1);
						const own = withGuests(guest.choice).marks();
						const there = (guest.across ? own[on] : own[0]) ?? [];
						return at ? there.map((mark) => move(mark, at)) : [];
					})
				].map((mark) => (on === 0 ? move(mark, { x: outer, y: 0 }) : mark))
			)
	};
}

/** What a block and its members cover of a spread whose left page is so wide. */
export function coveredBy({ room, inside }: Choice, leftWidth: number): Taken {
	if (room.span === 'page') return [[{ x: 0, y: 0, ...room }], []];
	const outer = leftWidth - room.left.w;
	const guests = (on: 0 | 1) => (inside?.guests ?? []).flatMap((guest) => rectsOf(guest, on));
	return [
		[{ x: 0, y: 0, ...room.left }, ...guests(0)].map((rect) => ({ ...rect, x: rect.x + outer })),
		[{ x: 0, y: 0, ...room.right }, ...guests(1)]
	];
}
