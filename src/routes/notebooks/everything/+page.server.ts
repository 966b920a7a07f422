import { copiesOf, databasePath } from '$lib/server/shelf/copies';
import type { PageServerLoad } from './$types';

/** Copies of the database that one can go back to. */
export const load: PageServerLoad = () => ({ copies: copiesOf(databasePath()) });
