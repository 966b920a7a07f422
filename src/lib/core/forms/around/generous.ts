import type { Form, Layout, Room } from '../form/form';

/**
 * A form whose generous layouts come after the others, so none is drawn by itself; only a room that one fills exactly, and
 * no other does, is ruled so.
 */
export function withGenerous(form: Form): Form {
	return {
		...form,
		layouts: (setting, room) => {
			const layouts = form.layouts(setting, room);
			if (!layouts.some(({ generous }) => generous)) return layouts;
			const usual = layouts.filter(({ generous }) => !generous);
			const more = layouts.filter(
				(layout) => layout.generous && !usual.some((other) => sameRoom(other.room, layout.room))
			);
			const exact = usual.some((layout) => sameRoom(layout.room, room))
				? undefined
				: more.find((layout) => sameRoom(layout.room, room));
			return exact
				? [exact, ...without(usual, exact), ...without(more, exact)]
				: [...usual, ...more];
		}
	};
}

const without = (layouts: readonly Layout[], one: Layout) =>
	layouts.filter((layout) => layout !== one);

function sameRoom(a: Room, b: Room): boolean {
	if (a.span === 'spread')
		return (
			b.span === 'spread' &&
			a.left.w === b.left.w &&
			a.left.h === b.left.h &&
			a.right.w === b.right.w &&
			a.right.h === b.right.h
		);
	return b.span === 'page' && a.w === b.w && a.h === b.h;
}
