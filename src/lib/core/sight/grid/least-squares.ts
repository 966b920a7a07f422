/**
 * The coefficients with which weighted rows come nearest to their values: the normal equations, solved by Cholesky's
 * decomposition with a whisper of damping. (Golub and Van Loan, Matrix Computations; from memory.)
 */
export function leastSquares(
	rows: readonly (readonly number[])[],
	values: readonly number[],
	weights: readonly number[]
): number[] {
	const size = rows[0]?.length ?? 0;
	const normal = new Float64Array(size * size);
	const right = new Float64Array(size);
	for (const [index, row] of rows.entries()) {
		const weight = weights[index] ?? 1;
		const value = values[index] ?? 0;
		for (let i = 0; i < size; i++) {
			const own = weight * (row[i] ?? 0);
			right[i] = (right[i] ?? 0) + own * value;
			for (let j = 0; j <= i; j++)
				normal[i * size + j] = (normal[i * size + j] ?? 0) + own * (row[j] ?? 0);
		}
	}
	const damping =
		1e-10 * Math.max(...Array.from({ length: size }, (_, i) => normal[i * size + i] ?? 0));
	const lower = new Float64Array(size * size);
	const at = (i: number, j: number) => lower[i * size + j] ?? 0;
	for (let i = 0; i < size; i++)
		for (let j = 0; j <= i; j++) {
			let sum = (normal[i * size + j] ?? 0) + (i === j ? damping : 0);
			for (let k = 0; k < j; k++) sum -= at(i, k) * at(j, k);
			lower[i * size + j] = i === j ? Math.sqrt(Math.max(sum, 1e-300)) : sum / at(j, j);
		}
	const half = new Float64Array(size);
	for (let i = 0; i < size; i++) {
		let sum = right[i] ?? 0;
		for (let k = 0; k < i; k++) sum -= at(i, k) * (half[k] ?? 0);
		half[i] = sum / at(i, i);
	}
	const found = Array.from({ length: size }, () => 0);
	for (let i = size - 1; i >= 0; i--) {
		let sum = half[i] ?? 0;
		for (let k = i + 1; k < size; k++) sum -= at(k, i) * (found[k] ?? 0);
		found[i] = sum / at(i, i);
	}
	return found;
}
