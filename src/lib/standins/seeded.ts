/** Numbers from 0 to 1 that follow from a seed: the same ones each time. (xorshift on a hash of the text.) */
export function seeded(seed: string): () => number {
	let state = 2166136261;
	for (const letter of seed) state = Math.imul(state ^ letter.charCodeAt(0), 16777619);
	return () => {
		state ^= state << 13;
		state ^= state >>> 17;
		state ^= state << 5;
		return (state >>> 0) / 2 ** 32;
	};
}
