import { redirect } from '@sveltejs/kit';

/** The kinds are a drawer of the plan. */
export const GET = ({ params }) => redirect(308, `/months/${params.id}?kinds`);
