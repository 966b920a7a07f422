import { json } from '@sveltejs/kit';
import { version } from '../../../../../package.json';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => json({ status: 'ok', version });
