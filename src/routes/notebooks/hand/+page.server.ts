import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => ({ hand: locals.person.hand });
