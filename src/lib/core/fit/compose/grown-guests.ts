import type { Rect, Size } from '../../paper';
import { rectsOf, type Guest } from '../choices/choices';
import { grown } from './grow';
import type { Plan } from '../plan/plan';
import type { Seated } from './seated';

/**
 * A block of whole pages whose members grow into what is left around them: a list or table stands no shorter than it could.
 * Equal ones stay equal.
 */
export function withGrownGuests(plan: Plan, seated: Seated): Seated {
	const { choice } = seated;
	const { inside, rooms = [] } = choice;
	if (!inside || !choice.form.wholePage) return seated;
	const guests = inside.guests.reduce((all, guest, index) => {
		const place = rooms.find(({ name, on }) => name === guest.room && on === guest.on);
		if (!place || !mayGrow(guest, all)) return all;
		const there = ({ x, y, w, h }: Rect): Rect => ({ x: x - place.x, y: y - place.y, w, h });
		const others = all.flatMap((other, at) => (at === index ? [] : rectsOf(other, guest.on)));
		const room: Size = { w: place.w, h: place.h };
		const own = there(guest.rect);
		// What stands beside each other begins in one row, so it grows downward only.
		const above: Rect = { x: 0, y: 0, w: room.w, h: own.y - 1 };
		const around = [...others.map(there), ...(above.h > 0 ? [above] : [])];
		const larger = grown(plan, guest.choice, room, around, own, room.h);
		const rect = { ...larger, x: larger.x + place.x, y: larger.y + place.y };
		return all.with(index, { ...guest, rect });
	}, inside.guests);
	return { ...seated, choice: { ...choice, inside: { ...inside, guests } } };
}

/** Whether a member's size is its form's to choose: not a person's, nor one that others like it have, too. */
function mayGrow(
	{ choice: { as, form, inside }, rect, on, across }: Guest,
	all: readonly Guest[]
): boolean {
	if (as.size || as.spot || inside || across) return false;
	const alike = all.filter(
		(other) =>
			other.choice.form === form &&
			other.on === on &&
			other.rect.w === rect.w &&
			other.rect.h === rect.h
	);
	return alike.length === 1;
}
