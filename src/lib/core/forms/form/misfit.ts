import type { Size } from '../../paper';
import type { Form, Room, Setting } from './form';

/** Why a form cannot be ruled in a room, and what is missing. */
export interface Misfit {
	readonly reason: string;
	/** Squares that, added to each page of the room, let it fit; nought where no size does. */
	readonly lacking: Size;
}

/** No page has more squares than these each way. */
const most = 300;

/**
 * What is missing for a form that has no layout in a room: rows alone where rows alone help, else columns alone, else
 * the least columns and then the least rows. Found by trying, so what is said to be missing, added, makes it fit.
 */
export function misfitOf(form: Form, setting: Setting, room: Room): Misfit {
	const fits = ({ w, h }: Size) => form.layouts(setting, enlarged(room, { w, h })).length > 0;
	const wide = least((w) => fits({ w, h: most }));
	if (wide === undefined)
		return {
			reason: `${form.name} cannot be ruled with these settings on a page of any size`,
			lacking: { w: 0, h: 0 }
		};
	const flat = wide === 0 ? undefined : least((w) => fits({ w, h: 0 }));
	const lacking =
		flat === undefined
			? { w: wide, h: least((h) => fits({ w: wide, h })) ?? most }
			: { w: flat, h: 0 };
	return { reason: told(form.name, room, lacking), lacking };
}

/** The least number for which something holds that holds for all greater ones; undefined when it never does. */
function least(holds: (squares: number) => boolean): number | undefined {
	if (holds(0)) return 0;
	if (!holds(most)) return undefined;
	let [none, enough] = [0, most];
	while (enough - none > 1) {
		const middle = Math.floor((none + enough) / 2);
		if (holds(middle)) enough = middle;
		else none = middle;
	}
	return enough;
}

function enlarged(room: Room, { w, h }: Size): Room {
	const larger = (size: Size): Size => ({ w: size.w + w, h: size.h + h });
	return room.span === 'page'
		? { ...room, ...larger(room) }
		: { ...room, left: larger(room.left), right: larger(room.right) };
}

function told(name: string, room: Room, { w, h }: Size): string {
	const missing = [w > 0 ? `${w} across` : '', h > 0 ? `${h} down` : ''].filter(Boolean);
	const short = `${missing.join(' and ')} missing`;
	if (room.span === 'page')
		return `${name} needs ${room.w + w} × ${room.h + h} squares and there are ${room.w} × ${room.h}: ${short}`;
	const { left, right } = room;
	return `${name} needs two pages of ${left.w + w} and ${right.w + w} × ${left.h + h} squares and there are ${left.w} and ${right.w} × ${left.h}: ${short}`;
}
