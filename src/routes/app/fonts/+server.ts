import { json } from '@sveltejs/kit';
import { checked, fontUseSchema } from '$lib/core/formats';
import { bytesOf, faulty, problem } from '$lib/server/answer/problem';
import { refusedQuery } from '$lib/server/shelf/app-request';
import { fontApart } from '$lib/server/work';
import type { RequestHandler } from './$types';

const mostBytes = 25 * 1024 * 1024;
const mostFonts = 12;

/** Takes a font file, for what `?use=` says: `hand`, `lettering` or `both`. */
export const POST: RequestHandler = async ({ request, url, locals }) => {
	const refused = refusedQuery(url, { use: 'any' });
	if (refused) return refused;
	const asked = checked(fontUseSchema, Object.fromEntries(url.searchParams));
	if (!asked.ok) return faulty(asked.faults);
	const { fonts } = locals.store;
	if ((await fonts.all()).length >= mostFonts)
		return problem(
			422,
			'Too many fonts',
			`At most ${mostFonts} fonts are kept. Take one away first.`
		);
	const file = await bytesOf(request, mostBytes);
	if (!file)
		return problem(413, 'Too large', `A font file may have at most ${mostBytes / 1024 ** 2} MB.`);
	const font = await fontApart(file, locals.gone);
	if (!font.ok) return problem(422, 'Not a font', font.reason);
	return json(await fonts.add(font.name.slice(0, 100), asked.value.use, font.ranges, file), {
		status: 201
	});
};
