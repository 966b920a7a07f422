import { error, type RequestEvent } from '@sveltejs/kit';
import { correctionFor } from '$lib/core/paper';
import { asks } from '../answer/api-answers';
import { refusedQuery } from './app-request';
import { faulty } from '../answer/problem';
import type { Asks } from '../answer/query';
import type { SheetRequest } from '../answer/sheet-answers';
import { placedMonth } from './shelf';
import { sheetApart, TooMuch } from '../work';

/** What a kept month may be asked besides; the revision only keeps a browser from showing an older picture. */
const ofKept: Asks = { printer: 'any', revision: 'any' };

/** A kept month drawn on sheets, corrected for the printer in `?printer=` where one is named. */
export async function monthSheet(
	{ locals, url }: RequestEvent,
	id: string,
	as: SheetRequest['as']
): Promise<Response> {
	const refused = refusedQuery(url, { ...asks[as], ...ofKept });
	return refused ?? keptSheet(locals, id, { as, query: url.searchParams });
}

/** Draws something of a kept month. */
export async function keptSheet(
	{ store, person, gone }: App.Locals,
	id: string,
	{ as, query }: { readonly as: SheetRequest['as']; readonly query: URLSearchParams }
): Promise<Response> {
	const wanted = query.get('printer');
	const printer = (await store.person.printers()).find((known) => known.id === wanted);
	if (wanted !== null && !printer) {
		const message = `is no printer that is kept; “${wanted}” is none of them`;
		return faulty([{ path: 'printer', message }]);
	}
	const placed = await placedMonth(store, id, person);
	if (!placed) error(404, 'There is no such month.');
	const { plan, run, trouble } = placed;
	// Without its run there is nothing to draw, and an empty sheet would be taken for the month.
	if (trouble !== undefined) throw new TooMuch(trouble);
	const correction = printer && correctionFor(printer);
	const fonts = await store.fonts.files();
	return sheetApart({ as, plan, run, query: query.toString(), fonts, correction }, gone);
}
