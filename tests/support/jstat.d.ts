declare module 'jstat' {
	/** What is used of the library: the regularized incomplete beta function, and Student's t distribution. */
	export const jStat: {
		ibeta(x: number, a: number, b: number): number;
		readonly studentt: { cdf(x: number, freedom: number): number };
	};
	const library: { readonly jStat: typeof jStat };
	export default library;
}
