import type { Mark } from '../../draw';
import { hangsTogether, runsFromRight } from '../../hand';
import { titleStyle } from '../form/common-rules';
import type { Form, Layout, Setting } from '../form/form';
import { titleRows } from '../parts/title-band';
import { fitTitle, lettersOver } from '../parts/title-letters';

/**
 * A form whose title stands over both pages where it lies over both and the right one has its first rows free: in the
 * middle, with the fold in place of the gap that is nearest to it. (Common practice: WEEK 19 is 20 to 28 and 0 to 9.)
 */
export function withOverTitle(form: Form): Form {
	if (!form.rules.includes(titleStyle) || !form.spans.includes('spread')) return form;
	return {
		...form,
		layouts: (setting, room) => {
			const layouts = form.layouts(setting, room);
			const { title } = setting.content;
			const rows = titleRows(setting);
			const lettered = rows > 0 && (titleStyle.of(setting) ?? 'lettered') === 'lettered';
			if (room.span === 'page' || !title || !lettered) return layouts;
			// Words that hang together are in one piece; from the right the other half would come first.
			if (hangsTogether(title) || runsFromRight(title)) return layouts;
			return layouts.map((layout) => ({
				...layout,
				marks: () => overBoth(setting, title, layout, rows)
			}));
		}
	};
}

function overBoth(
	setting: Setting,
	title: string,
	{ room, rooms = [], marks }: Layout,
	rows: number
): readonly (readonly Mark[])[] {
	const drawn = marks();
	const [left = [], right = []] = drawn;
	const isFree =
		right.every((mark) => topOf(mark) >= rows) && rooms.every(({ on, y }) => on === 0 || y >= rows);
	if (room.span === 'page' || !isFree) return drawn;
	const width = room.left.w + room.right.w;
	const words = left.filter((mark) => isLettered(mark) && topOf(mark) < rows);
	const fit = fitTitle(setting.hand, [title], width, setting.letters);
	if (words.length === 0 || !fit) return drawn;
	const [before, after] = lettersOver(title, fit, room.left.w);
	if (before.some(({ x }) => x < 1) || after.some(({ x, w }) => x + w >= room.right.w))
		return drawn;
	return [
		[...before, ...left.filter((mark) => !words.includes(mark))],
		[...after, ...right]
	];
}

function isLettered(mark: Mark): mark is Mark & { kind: 'text' } {
	return mark.kind === 'text' && mark.style === 'lettering';
}

/** The highest row that a mark may touch. */
function topOf(mark: Mark): number {
	if (mark.kind === 'line') return Math.min(mark.y1, mark.y2);
	return mark.kind === 'arc' ? mark.y - mark.radius : mark.y;
}
