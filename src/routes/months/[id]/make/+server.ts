import { redirect } from '@sveltejs/kit';

/** The former address of what is drawn tonight. */
export const GET = ({ params }) => redirect(308, `/months/${params.id}/draw`);
