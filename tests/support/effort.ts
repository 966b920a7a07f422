/**
 * How often random cases are tried: `npm test` does a tenth, so that it ends soon; `npm run bench -- --hard` sets
 * HORARIUM_HARD and does all.
 */
export function often(runs: number, usual = Math.ceil(runs / 10)): number {
	return process.env.HORARIUM_HARD ? runs : usual;
}
