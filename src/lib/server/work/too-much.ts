/** What is asked is more than one request may ask for, on whatever machine: 422. */
export class TooMuch extends Error {
	override readonly name = 'TooMuch';
}
