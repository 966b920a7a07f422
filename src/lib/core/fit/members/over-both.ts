import { bothPages, type Room, type RoomPlace } from '../../forms';
import type { Wish } from '../../wish';
import type { Choice, Guest, Inside } from '../choices/choices';

/** One may take all rows, half of them or a third, so that others find room below. */
const shares = [1, 2, 3];
/** Of more than these each has an equal share: every one more would multiply the ways to try. */
const mostTried = 2;

/** How a wish is ruled in a room. */
type ChoicesIn = (wish: Wish, room: Room) => readonly Choice[];

/**
 * Ways for members to lie over both pages, one below the other at the top of their host's rooms: higher and lower ones, and
 * without them, the last ones first. `shared` says that others have to stand below.
 */
export function* bandsOver(
	room: Room,
	rooms: readonly RoomPlace[],
	wishes: readonly Wish[],
	shared: boolean,
	choicesIn: ChoicesIn
): Generator<Inside> {
	if (wishes.length <= mostTried) {
		yield* stacked(room, rooms, wishes, choicesIn, () =>
			shared || wishes.length > 1 ? shares : [1]
		);
		return;
	}
	for (let count = wishes.length; count >= 0; count--) {
		const equally = (left: number) => [left + (shared ? 1 : 0)];
		const [all] = stacked(room, rooms, wishes.slice(0, count), choicesIn, equally);
		if (all?.left.length === 0) yield { ...all, left: wishes.slice(count) };
	}
}

/** Members one below the other, each in the shares of the rows left that so many members may have, or left out. */
function* stacked(
	room: Room,
	rooms: readonly RoomPlace[],
	[wish, ...rest]: readonly Wish[],
	choicesIn: ChoicesIn,
	sharesOf: (members: number) => readonly number[],
	down = 0
): Generator<Inside> {
	if (!wish) {
		yield { guests: [], left: [], discomfort: 0 };
		return;
	}
	const tried = new Set<number>();
	for (const share of sharesOf(rest.length + 1)) {
		const guest = guestOver(room, rooms, wish, share, choicesIn, down);
		if (!guest?.across) continue;
		const high = Math.max(guest.rect.h, guest.across.h);
		if (tried.has(high)) continue;
		tried.add(high);
		const { discomfort } = guest.choice;
		for (const more of stacked(room, rooms, rest, choicesIn, sharesOf, down + high + 1))
			yield {
				guests: [guest, ...more.guests],
				left: more.left,
				discomfort: discomfort + more.discomfort
			};
	}
	for (const more of stacked(room, rooms, rest, choicesIn, sharesOf, down))
		yield { ...more, left: [wish, ...more.left] };
}

/** A member over both pages, in a share of the rows that are left; undefined where it cannot lie there. */
function guestOver(
	room: Room,
	[left, right]: readonly RoomPlace[],
	wish: Wish,
	share: number,
	choicesIn: ChoicesIn,
	down: number
): Guest | undefined {
	if (room.span === 'page' || !left || !right) return undefined;
	const rows = Math.min(left.h, right.h) - down;
	const h = Math.floor((rows - (share - 1)) / share);
	if (h < 1) return undefined;
	const offered = { ...room, left: { w: left.w, h }, right: { w: right.w, h } };
	const [choice] = choicesIn(wish, offered);
	if (choice?.room.span !== 'spread') return undefined;
	const { left: own, right: other } = choice.room;
	const y = left.y + down;
	return {
		choice,
		room: bothPages,
		on: 0,
		rect: { x: left.w - own.w, y, ...own },
		across: { x: 0, y, ...other }
	};
}
