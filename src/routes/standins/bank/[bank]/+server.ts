import { error } from '@sveltejs/kit';
import { parseMonth } from '$lib/core/month';
import { onlyWithStandins } from '$lib/server/network/standins';
import { banks, bankStatement, inCharacter } from '$lib/standins';
import type { RequestHandler } from './$types';

/** A month’s statement (`?month=2027-04`) of one of the banks, as its customers save it. */
export const GET: RequestHandler = ({ params, url }) => {
	onlyWithStandins();
	const bank = banks.find((name) => name === params.bank);
	const month = parseMonth(url.searchParams.get('month') ?? '');
	if (!bank || !month) error(404, 'There is nothing at this address.');
	const name = `${bank}-${url.searchParams.get('month')}.csv`;
	return inCharacter(
		() =>
			new Response(bankStatement(bank, month.year, month.month), {
				headers: {
					'content-type': 'text/csv; charset=utf-8',
					'content-disposition': `attachment; filename="${name}"`
				}
			})
	);
};
