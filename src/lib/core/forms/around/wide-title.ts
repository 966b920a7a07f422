import { move } from '../../draw';
import { titleStyle } from '../form/common-rules';
import type { Form, Layout, Setting } from '../form/form';
import { titleHeight, titleMarks } from '../parts/title-band';
import { titleWidths } from '../parts/title-letters';

/**
 * A form whose title may be wider than what it stands over, where there is room beside that nobody needs: letters of the
 * month's size, with their natural gaps or none, over the rest in the middle. (Common practice.)
 */
export function withWideTitle(form: Form): Form {
	if (!form.rules.includes(titleStyle) || form.wholePage) return form;
	return {
		...form,
		layouts: (setting, room) => {
			const layouts = form.layouts(setting, room);
			const { title, ...content } = setting.content;
			const { w: most, h } = room.span === 'page' ? room : { w: 0, h: 0 };
			const lettered = (titleStyle.of(setting) ?? 'lettered') === 'lettered';
			const widths = title && lettered ? titleWidths(setting.hand, title) : [];
			const wider = widths.filter(
				(width) => width <= most && layouts.some((layout) => widthOf(layout) < width)
			);
			/** What is ruled as usual, and the widest that may grow. */
			const untitled = (w: number, rows: number) => {
				const all = form.layouts({ ...setting, content }, { span: 'page', w, h: rows });
				const grown = all
					.filter((layout) => layout.generous && widthOf(layout) < w)
					.sort((a, b) => widthOf(b) - widthOf(a));
				return [...grown.slice(0, 1), ...all.slice(0, 1)];
			};
			return [
				...layouts,
				...wider.flatMap((width) =>
					untitled(width, h - titleHeight).flatMap((rest) => {
						const { room: own } = rest;
						if (own.span !== 'page' || own.w >= width) return [];
						// In a room of just these squares it must be ruled the same.
						const same = untitled(width, own.h).some(
							({ room }) => room.span === 'page' && room.w === own.w && room.h === own.h
						);
						// Where it is ruled under its title to just this size, that is what is drawn there.
						const room = { span: 'page', w: width, h: titleHeight + own.h } as const;
						const taken = form
							.layouts(setting, room)
							.some((layout) => widthOf(layout) === width && heightOf(layout) === room.h);
						return same && !taken ? [below(setting, rest, width)] : [];
					})
				)
			];
		}
	};
}

const widthOf = ({ room }: Layout) => (room.span === 'page' ? room.w : Infinity);
const heightOf = ({ room }: Layout) => (room.span === 'page' ? room.h : Infinity);

/** What is ruled without a title, in the middle below one of this width. */
function below(setting: Setting, layout: Layout, width: number): Layout {
	const { w, h } = layout.room.span === 'page' ? layout.room : { w: 0, h: 0 };
	const x = Math.floor((width - w) / 2);
	return {
		...layout,
		room: { span: 'page', w: width, h: titleHeight + h },
		generous: true,
		stretches: false,
		facts: { ...layout.facts, title: titleHeight },
		// What is inside goes along to the middle; the room below has the whole width already.
		rooms: layout.rooms?.flatMap((place) => {
			const moved = { ...place, y: place.y + titleHeight };
			if (place.y >= h) return [moved];
			return place.x + place.w <= w ? [{ ...moved, x: place.x + x }] : [];
		}),
		why: [`title ${titleHeight}, ${width} across, over the other ${w}`, ...layout.why],
		marks: () => [
			[
				...titleMarks(setting, width, false),
				...(layout.marks()[0] ?? []).map((mark) => move(mark, { x, y: titleHeight }))
			]
		]
	};
}
