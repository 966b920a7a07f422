import { onlyWithStandins } from '$lib/server/standins';
import { bandDays, behave, behaviour } from '$lib/standins';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url }) => {
	onlyWithStandins();
	const { gaps } = behaviour();
	return {
		behaviour: behaviour(),
		origin: url.origin,
		sample: bandDays('2027-05-01', '2027-05-07', 'engineer', gaps)
	};
};

export const actions: Actions = {
	default: async ({ request }) => {
		onlyWithStandins();
		const form = await request.formData();
		const is = (name: string) => form.get(name) === 'on';
		behave({ away: is('away'), slow: is('slow'), gaps: is('gaps'), later: is('later') });
	}
};
