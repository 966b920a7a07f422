declare module 'jstat' {
	/** The part of the library that is used: the regularized incomplete beta function. */
	export const jStat: { ibeta(x: number, a: number, b: number): number };
	const library: { readonly jStat: typeof jStat };
	export default library;
}
