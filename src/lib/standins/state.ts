/** How the stand-ins behave at the moment; it is set on their page. */
export interface Behaviour {
	/** Everything answers with 503. */
	readonly away: boolean;
	/** Everything takes three seconds. */
	readonly slow: boolean;
	/** The band was left in a drawer every third day. */
	readonly gaps: boolean;
	/** The calendar has an event more. */
	readonly later: boolean;
	/** The label printer's tape is stuck. */
	readonly jammed: boolean;
}

const usual: Behaviour = { away: false, slow: false, gaps: false, later: false, jammed: false };
let now = usual;

export function behaviour(): Behaviour {
	return now;
}

export function behave(change: Partial<Behaviour>): void {
	now = { ...now, ...change };
}

const slowMs = 3000;

/** An answer as the stand-ins give it at the moment. */
export async function inCharacter(answer: () => Response): Promise<Response> {
	if (now.slow) await new Promise((resolve) => setTimeout(resolve, slowMs));
	return now.away ? new Response('out of reach', { status: 503 }) : answer();
}
