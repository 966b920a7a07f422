import { titleStyle } from '../form/common-rules';
import { field, frame } from '../../draw';
import { pageSize, ranked, type Form, type Layout } from '../form/form';
import { titleMarks, titleRows } from '../parts/title-band';

/** Smallest box that is worth a frame: room for a few words on a few lines. */
const least = { w: 8, h: 6 };

/**
 * A framed box with its title on top, free inside: it takes what is left over. Its smallest size is
 * 8 × 6 squares below the title. It stretches to fill its room.
 */
export const box: Form = {
	id: 'box',
	name: 'Open box',
	spans: ['page'],
	content: ['title'],
	rules: [titleStyle],
	layouts: (setting, room) => {
		const there = pageSize(room);
		const top = titleRows(setting);
		const needed = { w: least.w, h: top + least.h };
		if (there.w < needed.w || there.h < needed.h) return [];
		const layout = (w: number, h: number, discomfort: number): Layout => ({
			room: { span: 'page', w, h },
			discomfort,
			stretches: true,
			facts: { title: top, rows: h - top },
			why: [`${w} × ${h}: ${top > 0 ? `title ${top} + ` : ''}${h - top} rows to write in`],
			marks: () => [
				[
					...titleMarks(setting, w, true),
					...frame({ x: 0, y: 0, w, h }),
					field({ x: 0, y: top, w, h: h - top }, {}, 'full')
				]
			]
		});
		const half = Math.max(needed.h, Math.floor(there.h / 2));
		return ranked([
			layout(there.w, there.h, 0),
			...(half < there.h ? [layout(there.w, half, 10)] : []),
			...(there.w > needed.w || there.h > needed.h ? [layout(needed.w, needed.h, 40)] : [])
		]);
	}
};
