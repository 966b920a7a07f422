interface Tick {
	readonly at: number;
	readonly begins: readonly number[];
	readonly ends: readonly number[];
}

/**
 * Finds all lines of a page from its two tick strips alone: what has one number on both of them begins, or
 * ends, where the ticks cross. Shares no code with the strips' maker.
 */
export function linesFromStrips(top: readonly Tick[], side: readonly Tick[]): string[] {
	const steps = new Set([...top, ...side].flatMap(({ begins, ends }) => [...begins, ...ends]));
	const crossings = (step: number, which: 'begins' | 'ends') => {
		const across = top.filter((tick) => tick[which].includes(step)).map(({ at }) => at);
		const down = side.filter((tick) => tick[which].includes(step)).map(({ at }) => at);
		if (across.length > 1 && down.length > 1) throw new Error(`step ${step} is ambiguous`);
		return across.flatMap((x) => down.map((y) => [x, y] as const));
	};
	return [...steps]
		.flatMap((step) => {
			const begins = crossings(step, 'begins');
			const ends = crossings(step, 'ends');
			if (begins.length !== ends.length) throw new Error(`step ${step} begins and ends unevenly`);
			return begins.map((begin, index) =>
				[begin.join(), ends[index]?.join() ?? ''].sort().join(' – ')
			);
		})
		.sort();
}
