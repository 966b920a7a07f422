import { json } from '@sveltejs/kit';
import { version } from '../../../../../package.json';
import { openApi } from '$lib/server/answer/openapi';
import type { RequestHandler } from './$types';

/** The open API, described. */
export const GET: RequestHandler = () => json(openApi(version));
