import type { Rect, Size } from '../../paper';
import { settingOf, type Choice, type Guest } from '../choices/choices';
import { layoutsOf } from '../choices/layouts-of';
import { levelled, type DayRows } from './levelled';
import type { Plan } from '../plan/plan';
import type { Seated } from './seated';

/** A block of whole pages whose members have each day in one row, all across both of them. */
export function withLevelGuests(plan: Plan, seated: Seated): Seated {
	const { choice } = seated;
	const { inside, room } = choice;
	if (!inside || !choice.form.wholePage) return seated;
	const [first, second] = room.span === 'page' ? [room, undefined] : [room.left, room.right];
	const fold = first.w + 1;
	const both: Size = { w: fold + (second?.w ?? 0), h: Math.min(first.h, second?.h ?? first.h) };
	const flat = ({ on, rect }: Guest): Rect => ({ ...rect, x: rect.x + on * fold });
	// What lies over both pages stands above the others; what a hand has put somewhere stays.
	const mayMove = ({ across, choice: { as } }: Guest) => !across && !as.spot;
	const moving = inside.guests.filter(mayMove);
	const staying = inside.guests.filter((guest) => !mayMove(guest));
	const taken = staying.flatMap((guest) => [
		flat(guest),
		...(guest.across ? [{ ...guest.across, x: guest.across.x + fold }] : [])
	]);
	const rects = levelled(both, taken, moving.map(flat), (index) => {
		const guest = moving[index];
		return guest ? dayRows(plan, guest.choice, guest.rect) : new Map();
	});
	const level = new Map(moving.map((guest, index) => [guest, rects[index]?.y ?? guest.rect.y]));
	const guests = inside.guests.map((guest): Guest => {
		const y = level.get(guest);
		return y === undefined ? guest : { ...guest, rect: { ...guest.rect, y } };
	});
	return { ...seated, choice: { ...choice, inside: { ...inside, guests } } };
}

/** The rows in which a block of a size shows its days. */
export function dayRows(plan: Plan, { as, form }: Choice, { w, h }: Size): DayRows {
	const [layout] = layoutsOf(form, settingOf(plan, as, form), { span: 'page', w, h });
	const [marks = []] = layout?.marks() ?? [];
	return new Map(
		marks.flatMap((mark) =>
			mark.kind === 'field' && mark.about.day !== undefined ? [[mark.about.day, mark.y]] : []
		)
	);
}
