import { error } from '@sveltejs/kit';
import { PNG } from 'pngjs';
import { presets } from '$lib/core/paper';
import { onlyWithStandins } from '$lib/server/network/standins';
import { photographOf } from '$lib/server/shelf/simulated-photographs';
import { photographed, type Photograph } from '$lib/standins/camera';
import { drawnPage, usualHand } from '$lib/standins/drawn-page';
import type { RequestHandler } from './$types';

/** As a telephone takes a page beside the book. */
const shot = {
	table: 84,
	lean: 4,
	nod: -3,
	turn: 2,
	shade: 0.3,
	noise: 3,
	blur: 0,
	curl: 3,
	barrel: 0.005
};

/** A simulated photograph: of an empty page, or of one of a month as it was drawn and filled in. */
export const GET: RequestHandler = async ({ url, locals }) => {
	onlyWithStandins();
	const month = url.searchParams.get('month');
	if (month !== null) {
		const page = Number(url.searchParams.get('page'));
		const seed = `stand-in ${page}`;
		const taken = { ...shot, seed, width: 1200 };
		const { searchParams } = url;
		const how = { whole: searchParams.has('whole'), slip: searchParams.has('slip') };
		const found = await photographOf(locals.store, locals.person, month, page, taken, how);
		if (!found) error(404, `There is no page ${page} in this month.`);
		return answer(found, `page-${page}.png`);
	}
	const asked = url.searchParams.get('side');
	const side = asked === 'left' ? 'left' : 'right';
	const [preset] = presets;
	if (!preset) throw new RangeError('there is no preset');
	const notebook = {
		...preset.paper,
		name: 'Stand-in',
		freePages: [{ first: 1, last: 100 }],
		marginsMm: { left: { x: 3.4, y: 5.6 }, right: { x: 4.1, y: 5.2 } }
	};
	const seed = `stand-in ${side}`;
	if (asked === 'both') {
		const [right, left] = (['right', 'left'] as const).map((one) =>
			drawnPage(notebook, one, [], [], usualHand)
		);
		const open = { ...shot, side: 'right' as const, seed: 'stand-in open', width: 1700 };
		return answer(photographed(notebook, open, right, left), 'pages.png');
	}
	return answer(photographed(notebook, { ...shot, side, seed, width: 900 }), `page-${side}.png`);
};

function answer({ rgba, width, height }: Photograph, name: string): Response {
	const picture = new PNG({ width, height });
	picture.data.set(rgba);
	return new Response(new Uint8Array(PNG.sync.write(picture)), {
		headers: {
			'content-type': 'image/png',
			'content-disposition': `attachment; filename="${name}"`
		}
	});
}
