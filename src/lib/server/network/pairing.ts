import { randomInt, timingSafeEqual } from 'node:crypto';

/** A code that lets one device in. */
export interface Offer {
	/** Six digits. */
	readonly code: string;
	/** When it ends, in ms. */
	readonly until: number;
}

/** What became of a guess. */
export type Guess = 'right' | 'wrong' | 'none';

const offerMs = 5 * 60_000;
/** After so many wrong guesses a code is void: the chance to hit one of a million is 5 in a million. */
const mostGuesses = 5;

let offer: Offer | undefined;
let guesses = 0;

/** A new code, in place of any other. */
export function newOffer(now: number): Offer {
	offer = { code: String(randomInt(1_000_000)).padStart(6, '0'), until: now + offerMs };
	guesses = 0;
	return offer;
}

/** The code that holds, if there is one. */
export function openOffer(now: number): Offer | undefined {
	if (offer && offer.until <= now) offer = undefined;
	return offer;
}

/** Tries a code: a right one is used up, and so is one that was guessed at too often. */
export function guess(code: string, now: number): Guess {
	const open = openOffer(now);
	if (!open) return 'none';
	const [given, wanted] = [Buffer.from(code.padEnd(6).slice(0, 6)), Buffer.from(open.code)];
	const right = code.length === 6 && given.length === 6 && timingSafeEqual(given, wanted);
	guesses++;
	if (right || guesses >= mostGuesses) offer = undefined;
	return right ? 'right' : 'wrong';
}
