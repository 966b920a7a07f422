import { framed, framedAs } from '../form/framed';
import { ranked, type Form, type Layout } from '../form/form';

const outline = framedAs('none');

/** A page or a spread left as it is, or framed: for painting, pasting in, or later. Over a spread each page has its frame. */
export const blank: Form = {
	id: 'blank',
	name: 'Blank',
	spans: ['page', 'spread'],
	wholePage: true,
	content: [],
	rules: [outline],
	layouts: (setting, room) => {
		const [first, ...others] = room.span === 'page' ? [room] : [room.left, room.right];
		const sizes = [first, ...others];
		const fits = sizes.every(({ w, h }) => w >= 1 && h >= 1);
		const layout: Layout = {
			room,
			discomfort: others.length > 0 ? 5 : 0,
			stretches: true,
			facts: {},
			why: [`${sizes.map(({ w, h }) => `${w} × ${h}`).join(' + ')} squares stay free`],
			marks: () => sizes.map((size) => framed({ x: 0, y: 0, ...size }, outline.of(setting)))
		};
		return ranked(fits ? [layout] : []);
	}
};
