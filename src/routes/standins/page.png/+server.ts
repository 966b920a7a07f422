import { PNG } from 'pngjs';
import { presets } from '$lib/core/paper';
import { onlyWithStandins } from '$lib/server/network/standins';
import { photographed } from '$lib/standins/camera';
import type { RequestHandler } from './$types';

/** A simulated photograph of an empty page, as a telephone takes it beside the book. */
export const GET: RequestHandler = ({ url }) => {
	onlyWithStandins();
	const side = url.searchParams.get('side') === 'left' ? 'left' : 'right';
	const [preset] = presets;
	if (!preset) throw new RangeError('there is no preset');
	const { rgba, width, height } = photographed(
		{
			...preset.paper,
			name: 'Stand-in',
			freePages: [{ first: 1, last: 100 }],
			marginsMm: { left: { x: 3.4, y: 5.6 }, right: { x: 4.1, y: 5.2 } }
		},
		{
			side,
			seed: `stand-in ${side}`,
			width: 900,
			table: 84,
			lean: 4,
			nod: -3,
			turn: 2,
			shade: 0.3,
			noise: 3,
			blur: 0,
			curl: 3,
			barrel: 0.005
		}
	);
	const picture = new PNG({ width, height });
	picture.data.set(rgba);
	return new Response(new Uint8Array(PNG.sync.write(picture)), {
		headers: {
			'content-type': 'image/png',
			'content-disposition': `attachment; filename="page-${side}.png"`
		}
	});
};
