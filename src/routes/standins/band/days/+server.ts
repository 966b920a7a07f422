import { json } from '@sveltejs/kit';
import { onlyWithStandins } from '$lib/server/network/standins';
import { bandDays, behaviour, inCharacter } from '$lib/standins';
import type { RequestHandler } from './$types';

const isDay = (text: string | null): text is string => /^\d{4}-\d{2}-\d{2}$/.test(text ?? '');

/** Steps and nights from one day to another, as a band's own server tells them. */
export const GET: RequestHandler = ({ url }) => {
	onlyWithStandins();
	return inCharacter(() => {
		const [from, to] = [url.searchParams.get('from'), url.searchParams.get('to')];
		if (!isDay(from) || !isDay(to)) return new Response('which days?', { status: 400 });
		return json({ device: 'band', days: bandDays(from, to, 'engineer', behaviour().gaps) });
	});
};
