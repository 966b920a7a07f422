import { FaultyRow } from '../keep/kept';
import { problem } from '../answer/problem';
import { ShelfFault } from './store';
import { troubleOf } from '../keep/trouble';
import { Busy, Gone, TooMuch } from '../work';

/** An error that has a reason a person can understand: its status, the sentence, when to come again. */
interface Told {
	readonly status: 400 | 422 | 500 | 503;
	readonly title: string;
	readonly sentence: string;
	readonly retrySeconds?: number;
}

/** What to tell of an error; undefined when it is a fault of the program. */
export function told(error: unknown): Told | undefined {
	if (error instanceof TooMuch) return { status: 422, title: 'Too much', sentence: error.message };
	if (error instanceof Busy)
		return { status: 503, title: 'Busy', sentence: error.message, retrySeconds: 2 };
	if (error instanceof Gone)
		return { status: 503, title: 'Gone', sentence: 'Nobody waits for this answer any more.' };
	if (error instanceof FaultyRow)
		return { status: 500, title: 'Set aside', sentence: error.message };
	if (error instanceof ShelfFault)
		return {
			status: 400,
			title: 'It cannot be taken',
			sentence: `Nothing was taken: it holds what cannot be kept here (${error.message}).`
		};
	const trouble = troubleOf(error);
	return trouble && { status: 503, title: 'The database is in trouble', ...trouble };
}

/** Addresses that answer programs, not people. */
const forPrograms = /^\/(app|api)(\/|$)/;

/**
 * Every error of an address for programs is a problem document (RFC 9457); every page that could not be made
 * because of the database or of too much work has the status that says so.
 */
export async function inOneShape(
	path: string,
	response: Response,
	error: unknown
): Promise<Response> {
	if (response.status < 400) return response;
	const known = told(error);
	if (!forPrograms.test(path)) {
		if (!known || known.status === response.status) return response;
		return new Response(response.body, { status: known.status, headers: response.headers });
	}
	if (response.headers.get('content-type') === 'application/problem+json') return response;
	if (known) return asProblem(known);
	const detail = await detailOf(response);
	const title = response.status === 404 ? 'Not found' : 'Refused';
	const answer = problem(response.status, title, detail);
	const allow = response.headers.get('allow');
	if (allow) answer.headers.set('allow', allow);
	return answer;
}

/** What is told of an error, as an answer to a program. */
export function asProblem({ status, title, sentence, retrySeconds }: Told): Response {
	const answer = problem(status, title, sentence);
	if (retrySeconds !== undefined) answer.headers.set('retry-after', String(retrySeconds));
	return answer;
}

/** What an answer says in words: the framework's are JSON with a message, or plain text. */
async function detailOf(response: Response): Promise<string> {
	if (response.status >= 500) return 'Horarium made a mistake; nothing was changed.';
	const text = await response.text();
	try {
		const json: unknown = JSON.parse(text);
		if (typeof json === 'object' && json !== null && 'message' in json) return String(json.message);
	} catch {
		// Plain text.
	}
	return response.status === 404 || text === '' ? 'There is nothing at this address.' : text;
}
