import { onlyWithStandins } from '$lib/server/network/standins';
import { photographable } from '$lib/server/shelf/simulated-photographs';
import { monthWords } from '$lib/ui/words';
import { bandDays, banks, behave, behaviour, printerStatus, putTapeIn } from '$lib/standins';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, locals }) => {
	onlyWithStandins();
	const { gaps } = behaviour();
	const months = await photographable(locals.store, locals.person);
	return {
		behaviour: behaviour(),
		printer: printerStatus(behaviour()),
		origin: url.origin,
		banks,
		photographed: months.map(({ id, month, pages }) => ({ id, name: monthWords(month), pages })),
		sample: bandDays('2027-05-01', '2027-05-07', 'engineer', gaps)
	};
};

/** A roll that ends after a few labels. */
const almostNothingMm = 40;

export const actions: Actions = {
	behave: async ({ request }) => {
		onlyWithStandins();
		const form = await request.formData();
		const is = (name: string) => form.get(name) === 'on';
		behave({
			away: is('away'),
			slow: is('slow'),
			gaps: is('gaps'),
			later: is('later'),
			jammed: is('jammed')
		});
	},
	tape: () => {
		onlyWithStandins();
		putTapeIn();
	},
	end: () => {
		onlyWithStandins();
		putTapeIn(almostNothingMm);
	}
};
