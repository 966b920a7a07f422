import { pageForm } from './form';

/** A page, or part of one, left as it is: for painting, pasting in, or later. At least 1 square. */
export const blank = pageForm({
	id: 'blank',
	name: 'Blank',
	fields: [],
	least: () => ({ w: 1, h: 1 }),
	layouts: (_, there) => [
		{
			size: there,
			discomfort: 0,
			facts: {},
			why: [`${there.w} × ${there.h} squares stay free`],
			stretches: true,
			marks: () => []
		}
	]
});
