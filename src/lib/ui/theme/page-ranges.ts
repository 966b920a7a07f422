/** Page numbers as ranges: "62, 64–66". */
export function pageRanges(pages: readonly number[]): string {
	const found: [number, number][] = [];
	for (const page of pages) {
		const last = found.at(-1);
		if (last && last[1] === page - 1) last[1] = page;
		else found.push([page, page]);
	}
	return found.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}
